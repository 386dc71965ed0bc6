import { Link } from 'react-router';
import { Mark, type MarkKind } from '../../shared/Mark';
import { percent } from '../shell/ruler';
import type { Today } from './queries';
import { arrivalPath, minuteOf, minutesWords } from './day';

const marks: Record<Today['waiting'][number]['mark'], MarkKind> = {
  decide: 'choose',
  waiting: 'waiting',
  new: 'new',
  owed: 'new',
};

/** Reply clocks on the ruler’s scale: ink for what is used, a tick at the promise, hatched beyond it. */
export function Waiting({ today }: { today: Today }) {
  // Before seven and after seven the day stands at its ends.
  const now = Math.min(19 * 60, Math.max(7 * 60, minuteOf(today.now)));
  const shown = today.waiting.slice(0, 8);
  return (
    <section className="today-part">
      <header>
        <h2>Waiting for an answer</h2>
        {today.waiting.length === 0 && <p className="second">Nobody waits.</p>}
      </header>
      <ul>
        {shown.map((one) => {
          const came = one.receivedAt.slice(0, 10) < today.day ? 7 * 60 : Math.max(7 * 60, minuteOf(one.receivedAt));
          const dueToday = one.dueAt.slice(0, 10) === today.day;
          const over = one.minutesLeft < 0;
          const due = dueToday ? minuteOf(one.dueAt) : over ? 7 * 60 : 19 * 60;
          const left = percent(came);
          const used = percent(over ? Math.min(due, now) : now) - left;
          const words = over ? `${minutesWords(-one.minutesLeft)} over` : `${minutesWords(one.minutesLeft)} left`;
          const end = Math.max(percent(now), percent(Math.min(due, 19 * 60)));
          return (
            <li key={one.id}>
              <p className="today-name">
                <Link to={arrivalPath(one)}>{one.name}</Link>
                <Mark kind={marks[one.mark]}>
                  {one.mark === 'decide'
                    ? `${one.toDecide} to decide`
                    : one.mark === 'owed'
                      ? 'accepted, not answered'
                      : one.mark}
                </Mark>
              </p>
              <div className="today-track">
                <i className="past" style={{ width: `${Math.max(0, percent(now))}%` }} aria-hidden />
                <i className="used" style={{ left: `${left}%`, width: `${Math.max(0.3, used)}%` }} aria-hidden />
                {over ? (
                  <i
                    className="over"
                    style={{ left: `${percent(due)}%`, width: `${Math.max(0, percent(now) - percent(due))}%` }}
                    aria-hidden
                  />
                ) : (
                  <i
                    className="to-come"
                    style={{ left: `${percent(now)}%`, width: `${Math.max(0, percent(due) - percent(now))}%` }}
                    aria-hidden
                  />
                )}
                <span
                  className={end > 70 ? 'clock-words left' : 'clock-words'}
                  style={end > 70 ? { right: `${100 - left + 1}%` } : { left: `${end + 0.8}%` }}
                >
                  {one.minutesLeft < 60 ? <b>{words}</b> : words}, {one.form}
                </span>
                <i className="now" style={{ left: `${percent(now)}%` }} aria-hidden />
              </div>
            </li>
          );
        })}
      </ul>
      {today.waitingCount > shown.length && (
        <p className="today-more">
          <Link to="/arrivals">{today.waitingCount - shown.length} more in Arrivals</Link>
        </p>
      )}
    </section>
  );
}
