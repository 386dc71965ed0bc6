import { longDay } from '../../shared/words';
import { FactList, type Fact } from '../shell/FactList';
import { DaysOffFile } from './DaysOffFile';
import { alike, weekdays, type Day } from './hours';
import { useClosures, type Setup } from './queries';
import { useShown } from './shown';

type Closing = Parameters<ReturnType<typeof useClosures>['mutateAsync']>[0];

const from = 7;
const until = 20;
const share = (time: string) => {
  const [hour = 0, minute = 0] = time.split(':').map(Number);
  return Math.min(100, Math.max(0, ((hour + minute / 60 - from) / (until - from)) * 100));
};

/** When the business is open, as strips; equal days joined to one row. */
export function HoursSection({ hours }: { hours: Day[] }) {
  const [shown, show] = useShown();
  return (
    <>
      <div className="section-head">
        <h2>Hours and closures</h2>
      </div>
      <ul className="hour-strips">
        {alike(hours).map(({ first, last, spans }) => (
          <li key={first}>
            <button
              type="button"
              className={shown === `hours.${first}` ? 'setup-row active' : 'setup-row'}
              onClick={() => show(`hours.${first}`)}
            >
              <span>
                <span className="unseen">Edit hours, </span>
                {first === last ? weekdays[first] : `${weekdays[first]?.slice(0, 3)} to ${weekdays[last]?.slice(0, 3)}`}
              </span>
              <span className={spans.length ? 'hour-strip' : 'hour-strip closed'} aria-hidden="true">
                {spans.map((span) => (
                  <i
                    key={span.from}
                    style={{ left: `${share(span.from)}%`, width: `${share(span.to) - share(span.from)}%` }}
                  />
                ))}
              </span>
              <span className="figures">
                {spans.length ? spans.map((span) => `${span.from} to ${span.to}`).join(', ') : 'closed'}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}

/** The days on which the business does not work. */
export function ClosureList({ closures }: { closures: Setup['closures'] }) {
  const edit = useClosures();
  const facts = closures.map((closure): Fact<Closing> => {
    const was = { id: closure.id, day: closure.day, name: closure.name };
    return {
      key: closure.id,
      label: closure.name,
      shown: longDay(closure.day),
      fields: [
        { key: 'day', label: 'Day', value: closure.day, kind: 'date' },
        { key: 'name', label: 'What it is', value: closure.name },
      ],
      edit: ({ day = '', name = '' }) => ({ id: closure.id, day, name }),
      remove: { ...was, remove: true },
    };
  });
  return (
    <>
      <FactList
        name="setup.closure"
        title="Closed"
        level="h3"
        canEdit
        facts={facts}
        adding={[
          {
            key: 'new',
            label: 'Closure',
            shown: '',
            fields: [
              { key: 'name', label: 'What it is', value: '' },
              { key: 'day', label: 'First day', value: '', kind: 'date' },
              { key: 'until', label: 'Last day, where it is several', value: '', kind: 'date' },
            ],
            edit: ({ day = '', until: last = '', name = '' }) => ({ id: null, day, until: last, name }),
          },
        ]}
        saving={edit}
        save={(part) => edit.mutateAsync(part)}
      />
      <DaysOffFile />
    </>
  );
}
