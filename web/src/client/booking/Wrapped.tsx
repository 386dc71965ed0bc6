import { useId, useState } from 'react';
import { count, folded, hourWord } from './Openings';
import { openingsOf, type Day } from './times';

interface Props {
  days: Day[];
  length: number;
  hours: { from: number; to: number };
  chosen: string;
  onChoose: (at: string) => void;
  beneath: (day: Day) => React.ReactNode;
}

/** Days on a phone: folded to a strip each; the open one has its ruler wrapped every two hours, in cells to press. */
export function Wrapped({ days, length, hours, chosen, onChoose, beneath }: Props) {
  const first = days.find((day) => day.starts.length > 0)?.day ?? '';
  const [opened, setOpened] = useState<string | null>(null);
  const open = days.some((day) => day.day === opened)
    ? opened
    : (days.find((day) => day.starts.some((start) => start.at === chosen))?.day ?? first);
  return (
    <div className="wrapped" role="radiogroup" aria-label="When?">
      {folded(days).map((row) =>
        'closed' in row ? (
          <p key={row.key} className="course-closed">
            <span>{row.closed}</span>
          </p>
        ) : (
          <section key={row.day.day} className="wrapped-day">
            <h3>
              <button
                type="button"
                aria-expanded={row.day.day === open}
                disabled={row.day.starts.length === 0}
                onClick={() => setOpened(row.day.day)}
              >
                <span>
                  <b>{row.day.weekday}</b> {row.day.date}
                </span>
                <span className="link">{count(row.day.starts.length)}</span>
              </button>
            </h3>
            {row.day.day === open ? (
              <Cells day={row.day} {...{ length, hours, chosen, onChoose }} />
            ) : (
              <Strip day={row.day} {...{ length, hours }} />
            )}
            {beneath(row.day)}
          </section>
        ),
      )}
    </div>
  );
}

function Strip({ day, length, hours }: { day: Day; length: number; hours: Props['hours'] }) {
  const span = (hours.to - hours.from) * 60;
  return (
    <div className="strip" aria-hidden>
      {openingsOf(day.starts, length).map((one) => (
        <i
          key={one.from}
          style={{
            left: `${((one.from - hours.from * 60) / span) * 100}%`,
            width: `${((one.to - one.from) / span) * 100}%`,
          }}
        />
      ))}
    </div>
  );
}

function Cells({
  day,
  length,
  hours,
  chosen,
  onChoose,
}: {
  day: Day;
  length: number;
  hours: Props['hours'];
  chosen: string;
  onChoose: (at: string) => void;
}) {
  const name = useId();
  const openings = openingsOf(day.starts, length);
  const begin = Math.floor(hours.from / 2) * 2;
  const rows = Array.from({ length: Math.ceil((hours.to - begin) / 2) }, (_, i) => begin + 2 * i);
  const mine = day.starts.find((start) => start.at === chosen);
  return (
    <div className="cells">
      {rows.map((hour) => (
        <div key={hour} className="cell-row">
          <span className="cell-hour" aria-hidden>
            {hourWord(hour)}
          </span>
          {[0, 30, 60, 90].map((minute) => {
            const from = hour * 60 + minute;
            const starts = day.starts.filter((start) => start.minute >= from && start.minute < from + 30);
            const free = openings.some((one) => one.from <= from && from + 30 <= one.to);
            const within = mine && mine.minute <= from && from < mine.minute + length;
            if (starts.length === 0)
              return <i key={minute} className={within ? 'within' : free ? 'free' : 'taken'} aria-hidden />;
            return (
              <div key={minute} className={within ? 'free within' : 'free'}>
                {starts.map((start) => (
                  <label key={start.at} className={start.at === chosen ? 'start chosen' : 'start'}>
                    <input
                      type="radio"
                      name={name}
                      checked={start.at === chosen}
                      onChange={() => onChoose(start.at)}
                      aria-label={`${day.weekday} ${day.date}, ${start.words}`}
                    />
                    <span aria-hidden>{start.label}</span>
                  </label>
                ))}
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
