import { DateTime } from 'luxon';
import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { clockTime, longDay } from '../../shared/words';
import type { Diary } from './queries';
import { dayOf } from './weeks';

/** Weeks beneath each other: what stands each day, and how much. */
export function Month({ diary, day, onDay }: { diary: Diary; day: string; onDay: (day: string) => void }) {
  const month = day.slice(0, 7);
  const names = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
  return (
    <div className="month">
      {names.map((name) => (
        <b key={name} className="month-head">
          {name}
        </b>
      ))}
      {diary.days.map((one) => {
        const visits = diary.appointments.filter((visit) => dayOf(visit.startsAt) === one.day);
        return (
          <button
            key={one.day}
            type="button"
            className={`month-day ${one.day.startsWith(month) ? '' : 'other'} ${one.closed ? 'closed' : ''} ${one.day === diary.today ? 'today' : ''}`}
            aria-label={`${longDay(one.day)}, ${one.closed || count(visits.length, 'visit')}`}
            onClick={() => onDay(one.day)}
          >
            <b>{DateTime.fromISO(one.day).day}</b>
            {one.closed && one.closed !== 'closed' && <span>{one.closed}</span>}
            {visits.slice(0, 3).map((visit) => (
              <span key={visit.id} className={`month-visit ${visit.state}`}>
                {clockTime(visit.startsAt)} {visit.staff.initials} {visit.who || visit.title}
              </span>
            ))}
            {visits.length > 3 && <span className="second">{visits.length - 3} more</span>}
          </button>
        );
      })}
    </div>
  );
}

/** Four weeks as a list, by day. */
export function VisitList({ diary }: { diary: Diary }) {
  const days = diary.days.filter((one) => diary.appointments.some((visit) => dayOf(visit.startsAt) === one.day));
  if (days.length === 0)
    return (
      <Empty fact="Nothing stands in these four weeks.">
        Place a visit with V, or send a client a link to choose a time.
      </Empty>
    );
  return (
    <div className="visit-list">
      {days.map((one) => (
        <section key={one.day}>
          <h3>{longDay(one.day)}</h3>
          <ul>
            {diary.appointments
              .filter((visit) => dayOf(visit.startsAt) === one.day)
              .map((visit) => (
                <li key={visit.id}>
                  <span>
                    {clockTime(visit.startsAt)}–{clockTime(visit.endsAt)}
                  </span>
                  <b>{visit.staff.initials}</b>
                  <Link to={`/diary/${visit.id}`}>{visit.who ? `${visit.title}, ${visit.who}` : visit.title}</Link>
                  <span className="second">{visit.place}</span>
                  {visit.state === 'offered' ? (
                    <Mark kind="waiting">unconfirmed</Mark>
                  ) : visit.state === 'held' ? (
                    <Mark kind="done">held</Mark>
                  ) : visit.state === 'missed' ? (
                    <Mark kind="stopped">missed</Mark>
                  ) : (
                    <span />
                  )}
                </li>
              ))}
          </ul>
        </section>
      ))}
    </div>
  );
}
