import { DateTime } from 'luxon';
import { Empty, ComingRows, Trouble } from '../../shared/Notice';
import type { Schema } from '../../shared/api';
import { clockTime } from '../../shared/words';
import { firstName } from '../../shared/firstName';

/** The next good times, each with why and the driving that it adds. */
export function GoodTimesList({
  found,
  error,
  again,
  chosen,
  onChoose,
}: {
  found: Schema<'GoodTimes'> | undefined;
  error: Error | null;
  again: () => void;
  chosen: number;
  onChoose: (number: number) => void;
}) {
  if (error)
    return (
      <Trouble title="No times" again={again}>
        {error.message}
      </Trouble>
    );
  if (!found) return <ComingRows rows={5} />;
  if (found.items.length === 0)
    return (
      <Empty fact="Nothing is free in the next two weeks.">
        Name another person, another part of the day, or a later day.
      </Empty>
    );
  return (
    <ol className="good-times">
      {found.items.map((one, i) => (
        <li key={one.startsAt + one.staff.map((person) => person.id).join()}>
          <button type="button" aria-pressed={chosen === i + 1} onClick={() => onChoose(i + 1)}>
            <kbd>{i + 1}</kbd>
            <b>
              {DateTime.fromISO(one.startsAt, { setZone: true }).toFormat('ccc d')}, {clockTime(one.startsAt)}
            </b>
            <span>{one.staff.map((person) => firstName(person.name)).join(' and ')}</span>
            <span className="second">{one.why}</span>
            <span className="added">{one.added > 0 ? `${one.added} min more` : 'no driving'}</span>
          </button>
        </li>
      ))}
    </ol>
  );
}
