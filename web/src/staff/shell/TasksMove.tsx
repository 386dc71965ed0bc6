import type { Schema } from '../../shared/api';
import { count } from '../../shared/numbers';
import { shortDay } from '../../shared/words';
import './tasks-move.css';

type Followed = Schema<'Follows'>;

export const movesNothing = (follows: Followed): boolean => follows.moved.length + follows.stays.length === 0;

/** Which tasks get another day: what stood there, and what would. */
export function Moves({ moved, today }: { moved: Followed['moved']; today: string }) {
  if (moved.length === 0) return <>No task moves with it.</>;
  return (
    <>
      {count(moved.length, 'task')} would move with it:
      <ul>
        {moved.slice(0, 8).map((one) => (
          <li key={one.number}>
            <span className="figures">{one.number}</span> {one.name}: <s>{shortDay(one.was, today)}</s>{' '}
            {shortDay(one.due, today)}
          </li>
        ))}
      </ul>
      {moved.length > 8 && `and ${moved.length - 8} more`}
    </>
  );
}

/** What moves, and what stays though it cannot be done by then. */
export function Told({ follows, today }: { follows: Followed; today: string }) {
  return (
    <>
      <Moves moved={follows.moved} today={today} />
      {follows.stays.length > 0 && (
        <ul>
          {follows.stays.map((one) => (
            <li key={one.number}>
              <span className="figures">{one.number}</span> {one.name} stays on {shortDay(one.due, today)}, as somebody
              set it, though it cannot be done before {shortDay(one.earliest, today)}.
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
