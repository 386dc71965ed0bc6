import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { ClientFinder } from '../people/ClientFinder';
import type { Kind, Setup, Wanted } from './queries';

interface Props {
  wanted: Wanted;
  who: string;
  found: Schema<'GoodTimes'> | undefined;
  setup: Setup | undefined;
  type: string;
  length: number;
  onChange: (wanted: Partial<Wanted>) => void;
  /** The place is written: times are found anew by the way there. */
  onPlace: () => void;
  offerHours: number;
  /** For how many hours a time is kept where nobody says otherwise. */
  usualHours: number;
  onOffer: (hours: number) => void;
  series: { every: '' | 'WEEKLY' | 'FORTNIGHTLY' | 'MONTHLY'; times: number };
  onSeries: (series: Props['series']) => void;
}

/** What is to be placed, as a sentence whose words can be changed; the list of good times is counted anew with each. */
export function NewVisit({
  wanted,
  who,
  found,
  setup,
  type,
  length,
  onChange,
  onPlace,
  offerHours,
  usualHours,
  onOffer,
  series,
  onSeries,
}: Props) {
  const kind: Kind | undefined = setup?.types.find((one) => one.id === type);
  const people = (setup?.staff ?? []).filter((one) => kind?.settings.people.flat().includes(one.id));
  const known = wanted.client !== '' || wanted.project !== '' || wanted.submission !== '';
  return (
    <div className="new-visit">
      <p className="sentence">
        <select
          aria-label="Kind of visit"
          value={type}
          onChange={(event) => onChange({ type: event.target.value, length: 0, with: '' })}
        >
          {setup?.types.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
        ,{' '}
        {kind && kind.settings.lengths.length > 1 ? (
          <select
            aria-label="How long"
            value={length}
            onChange={(event) => onChange({ length: Number(event.target.value) })}
          >
            {kind.settings.lengths.map((one) => (
              <option key={one} value={one}>
                {one} min
              </option>
            ))}
          </select>
        ) : (
          `${length} min`
        )}
        , for {known ? <b>{who || '…'}</b> : 'nobody yet'}
        {found?.onTheRoad && (
          <>
            {' '}
            at{' '}
            <input
              className="place"
              aria-label="Where to go"
              placeholder="where to go"
              maxLength={300}
              value={wanted.address ?? found.address}
              onChange={(event) => onChange({ address: event.target.value })}
              onBlur={onPlace}
              onKeyDown={(event) => event.key === 'Enter' && !event.ctrlKey && onPlace()}
            />
          </>
        )}
        . By{' '}
        <select aria-label="By whom" value={wanted.with} onChange={(event) => onChange({ with: event.target.value })}>
          <option value="">anybody</option>
          {people.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
        ,{' '}
        <select
          aria-label="Part of the day"
          value={wanted.part}
          onChange={(event) => onChange({ part: event.target.value as Wanted['part'] })}
        >
          <option value="any">at any hour</option>
          <option value="morning">mornings</option>
          <option value="afternoon">afternoons</option>
        </select>
        , from{' '}
        <input
          type="date"
          aria-label="From which day"
          value={wanted.from}
          onChange={(event) => event.target.value && onChange({ from: event.target.value })}
        />{' '}
        on.{' '}
        <select
          aria-label="How it is placed"
          value={offerHours}
          onChange={(event) => onOffer(Number(event.target.value))}
        >
          <option value={0}>Book it at once</option>
          {[...new Set([usualHours, 72])].map((hours) => (
            <option key={hours} value={hours}>
              Keep the time {hours % 24 === 0 && hours > 24 ? `${hours / 24} days` : `${hours} h`} while we wait for a
              yes
            </option>
          ))}
        </select>
        .{' '}
        <select
          aria-label="How often"
          value={series.every}
          onChange={(event) => onSeries({ ...series, every: event.target.value as Props['series']['every'] })}
        >
          <option value="">Once</option>
          <option value="WEEKLY">Every week</option>
          <option value="FORTNIGHTLY">Every second week</option>
          <option value="MONTHLY">Every month</option>
        </select>
        {series.every && (
          <>
            {' '}
            <input
              type="number"
              aria-label="How many times"
              min={2}
              max={60}
              value={series.times}
              onChange={(event) => onSeries({ ...series, times: Number(event.target.value) })}
            />{' '}
            times
          </>
        )}
      </p>
      {found && found.verify.length > 0 && (
        <ul className="verify" aria-label="To verify" aria-live="polite">
          {found.verify.map((one) => (
            <li key={one}>
              <Mark kind="choose">verify</Mark> {one}
            </li>
          ))}
        </ul>
      )}
      {!known && <ClientFinder label="For whom?" onChoose={(client) => onChange({ client: client.id })} />}
      <p className="good-order">
        <i>A time is good when, in this order</i>
      </p>
      <ol>
        <li>the client asked for it</li>
        <li>it adds little driving, under 25 min</li>
        <li>the person who leads is free</li>
        <li>no gap under 45 min is left over</li>
      </ol>
    </div>
  );
}
