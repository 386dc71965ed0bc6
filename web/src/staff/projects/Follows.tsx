import { useDeferredValue } from 'react';
import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useToday } from '../shell/day';
import { Moves } from './Outlook';
import { useFollows, type Looked } from './queries';

interface Props {
  task: Schema<'Task'>;
  /** What would be saved, or that it would be done now; null where nothing is changed yet. */
  change: Looked | null;
  /** In front of what moves. */
  head?: string;
}

/** What a change of a task takes along, before it is made; what somebody has set by hand stays, and that is said. */
export function Follows({ task, change, head }: Props) {
  const today = useToday();
  const asked = useDeferredValue(JSON.stringify(change));
  const follows = useFollows(task, asked).data;
  if (change === null || !follows) return null;
  const others = follows.moved.filter((one) => one.number !== task.position);
  if (head && others.length === 0) return null;
  return (
    <div className="moves-with second" aria-live="polite">
      {head}
      <Moves moved={others} today={today} />
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
    </div>
  );
}
