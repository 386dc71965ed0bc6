import { Link } from 'react-router';
import { MarkShape } from '../../shared/Mark';
import { clockTime } from '../../shared/words';
import { percent, stretch } from '../shell/ruler';
import type { Today } from './queries';
import { minuteOf } from './day';

/** Who goes where today: a lane for each, on the ruler’s scale. */
export function VisitLanes({ today }: { today: Today }) {
  const now = Math.min(19 * 60, Math.max(7 * 60, minuteOf(today.now)));
  const people = [
    ...new Map(today.visits.flatMap((visit) => [visit.staff, ...visit.also]).map((one) => [one.id, one])).values(),
  ].sort((a, b) => a.name.localeCompare(b.name));
  return (
    <section className="today-part">
      <header>
        <h2>Visits today</h2>
        {today.visits.length === 0 && <p className="second">Nobody goes anywhere today.</p>}
      </header>
      <ul>
        {people.map((person) => {
          const theirs = today.visits.filter(
            (visit) => visit.staff.id === person.id || visit.also.some((one) => one.id === person.id),
          );
          const done = theirs.filter((visit) => visit.now === 'done').length;
          return (
            <li key={person.id} className="visit-lane">
              <p className="today-name">
                <b>{person.name}</b>
                <span className="second">
                  {done} of {theirs.length} done
                </span>
              </p>
              <div className="today-track">
                <i className="past" style={{ width: `${Math.max(0, percent(now))}%` }} aria-hidden />
                {theirs.map((visit) => {
                  const words = `${visit.title}, ${visit.who}, ${visit.place}, ${clockTime(visit.startsAt)} to ${clockTime(visit.endsAt)}`;
                  return (
                    <Link
                      key={visit.id}
                      to={`/diary/${visit.id}`}
                      className={`today-visit ${visit.now}`}
                      title={words}
                      style={stretch(minuteOf(visit.startsAt), minuteOf(visit.endsAt))}
                    >
                      <span>
                        {visit.now === 'done' && <MarkShape kind="done" />}
                        {visit.now === 'waiting' && <MarkShape kind="waiting" />}
                        {visit.wish && <MarkShape kind="choose" />} {visit.title}, {visit.who}
                      </span>
                      <small>
                        {visit.now === 'done'
                          ? `done at ${clockTime(visit.endsAt)}`
                          : `${clockTime(visit.startsAt)}–${clockTime(visit.endsAt)}`}
                      </small>
                      <span className="unseen">, {visit.place}</span>
                    </Link>
                  );
                })}
                <i className="now" style={{ left: `${percent(now)}%` }} aria-hidden />
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
