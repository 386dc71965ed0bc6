import { useId, type KeyboardEvent } from 'react';
import { openingsOf, type Day, type Start } from './times';

interface Props {
  days: Day[];
  length: number;
  hours: { from: number; to: number };
  chosen: string;
  onChoose: (at: string) => void;
  /** What stands beneath a course: that a time has gone. */
  beneath: (day: Day) => React.ReactNode;
  /** The workshop's own hours under the courses, where they are others; minutes by which it is ahead. */
  ahead?: { minutes: number; words: string; name: string };
}

/** The half hours of a day with the starts in them: the first stands for all. */
function cellsOf(starts: Start[]): Map<number, Start[]> {
  const cells = new Map<number, Start[]>();
  for (const start of starts) {
    const cell = Math.floor(start.minute / 30) * 30;
    cells.set(cell, [...(cells.get(cell) ?? []), start]);
  }
  return cells;
}

/** Days as courses on one ruler: white is free, and each start is a radio at its true place. */
export function Openings({ days, length, hours, chosen, onChoose, beneath, ahead }: Props) {
  const name = useId();
  const span = (hours.to - hours.from) * 60;
  const at = (minute: number) => `${((minute - hours.from * 60) / span) * 100}%`;
  const marks = Array.from({ length: hours.to - hours.from + 1 }, (_, i) => hours.from + i);
  const walk = (event: KeyboardEvent) => {
    if (event.key !== 'PageDown' && event.key !== 'PageUp') return;
    event.preventDefault();
    const to = dayAway(days, chosen, event.key === 'PageDown' ? 1 : -1);
    if (to) onChoose(to.at);
  };
  return (
    <div className="openings" role="radiogroup" aria-label="When?" onKeyDown={walk}>
      <HourRuler marks={marks} at={at} />
      {folded(days).map((row) =>
        'closed' in row ? (
          <p key={row.key} className="course-closed">
            <span>{row.closed}</span>
            <i aria-hidden />
          </p>
        ) : (
          <div key={row.day.day} className="course-row">
            <p className="course-day">
              <b>{row.day.weekday}</b>
              <span>{row.day.date}</span>
            </p>
            <div
              className="course"
              role="group"
              aria-label={`${row.day.weekday} ${row.day.date}, ${count(row.day.starts.length)}`}
            >
              {openingsOf(row.day.starts, length).map((one) => (
                <i
                  key={one.from}
                  className="opening"
                  style={{ left: at(one.from), width: `${((one.to - one.from) / span) * 100}%` }}
                  aria-hidden
                />
              ))}
              {row.day.starts
                .filter((start) => start.at === chosen)
                .map((start) => (
                  <i
                    key={start.at}
                    className="taken-length"
                    style={{ left: at(start.minute), width: `${(length / span) * 100}%` }}
                    aria-hidden
                  />
                ))}
              {[...cellsOf(row.day.starts).values()].map((starts) => (
                <Cell key={starts[0]?.at} {...{ starts, chosen, onChoose, name, at, span }} day={row.day} />
              ))}
            </div>
            <Quarters day={row.day} {...{ chosen, onChoose }} />
            {beneath(row.day)}
          </div>
        ),
      )}
      {ahead && (
        <div className="course-row course-there" aria-hidden>
          <p className="course-day">
            {ahead.name}, {ahead.words}
          </p>
          <div className="there-ruler">
            {marks.map((hour) => (
              <span key={hour} style={{ left: at(hour * 60) }}>
                {hourWord(((((hour * 60 + ahead.minutes) / 60) % 24) + 24) % 24)}
              </span>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}

function Cell({
  starts,
  chosen,
  onChoose,
  name,
  at,
  span,
  day,
}: {
  starts: Start[];
  chosen: string;
  onChoose: (at: string) => void;
  name: string;
  at: (minute: number) => string;
  span: number;
  day: Day;
}) {
  const shown = starts.find((start) => start.at === chosen) ?? starts[0];
  if (!shown) return null;
  const cell = Math.floor(shown.minute / 30) * 30;
  return (
    <label
      className={shown.at === chosen ? 'start chosen' : 'start'}
      style={{ left: at(cell), width: `${(30 / span) * 100}%` }}
    >
      <input
        type="radio"
        name={name}
        checked={shown.at === chosen}
        onChange={() => onChoose(shown.at)}
        aria-label={`${day.weekday} ${day.date}, ${shown.words}`}
      />
      <span aria-hidden>{shown.label}</span>
    </label>
  );
}

/** The other starts of the chosen half hour, where it has several. */
function Quarters({ day, chosen, onChoose }: { day: Day; chosen: string; onChoose: (at: string) => void }) {
  const mine = [...cellsOf(day.starts).values()].find((starts) => starts.some((start) => start.at === chosen)) ?? [];
  if (mine.length < 2) return null;
  return (
    <p className="quarters">
      or at{' '}
      {mine
        .filter((start) => start.at !== chosen)
        .map((start) => (
          <button key={start.at} type="button" onClick={() => onChoose(start.at)}>
            {start.label}
          </button>
        ))}
    </p>
  );
}

function HourRuler({ marks, at }: { marks: number[]; at: (minute: number) => string }) {
  return (
    <div className="course-row hour-row" aria-hidden>
      <span className="course-day" />
      <div className="hour-ruler">
        {marks.map((hour) => (
          <span key={hour} style={{ left: at(hour * 60) }}>
            {hourWord(hour)}
          </span>
        ))}
      </div>
    </div>
  );
}

export function hourWord(hour: number): string {
  const whole = Math.floor(hour);
  const minutes = Math.round((hour - whole) * 60);
  if (whole === 12 && minutes === 0) return 'noon';
  const shown = whole % 12 === 0 ? 12 : whole % 12;
  return minutes ? `${shown}:${String(minutes).padStart(2, '0')}` : String(shown);
}

export function count(times: number): string {
  return times === 0 ? 'no times' : times === 1 ? '1 time' : `${times} times`;
}

/** The start nearest in the day, so many days with times away. */
function dayAway(days: Day[], chosen: string, by: number): Start | null {
  const open = days.filter((day) => day.starts.length > 0);
  const i = open.findIndex((day) => day.starts.some((start) => start.at === chosen));
  const minute = open[i]?.starts.find((start) => start.at === chosen)?.minute ?? 0;
  const to = open[i < 0 ? 0 : i + by];
  return to
    ? to.starts.reduce((best, one) => (Math.abs(one.minute - minute) < Math.abs(best.minute - minute) ? one : best))
    : null;
}

type Row = { key: string; closed: string } | { day: Day };

/** Closed days in a row are one line with its reason; a change of clocks is told there. */
export function folded(days: Day[]): Row[] {
  const rows: Row[] = [];
  let shut: Day[] = [];
  const close = () => {
    if (shut.length === 0) return;
    const [first, last] = [shut[0], shut.at(-1)];
    const named = shut.find((day) => day.closed !== 'closed' && day.closed !== '');
    const which =
      shut.length === 1
        ? `${first?.weekday} ${first?.date}`
        : `${first?.weekday} ${first?.date} ${shut.length === 2 ? 'and' : 'to'} ${last?.weekday} ${last?.date}`;
    const clocks = shut.find((day) => day.clocks !== 0);
    rows.push({
      key: first?.day ?? '',
      closed: `We are closed ${named ? `(${named.closed}) ` : ''}on ${which}.${clocks ? ` The clocks go ${clocks.clocks > 0 ? 'forward' : 'back'} on ${clocks.weekday}.` : ''}`,
    });
    shut = [];
  };
  for (const day of days) {
    if (day.closed !== '' && day.starts.length === 0) shut.push(day);
    else {
      close();
      rows.push({ day });
    }
  }
  close();
  return rows;
}
