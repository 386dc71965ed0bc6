import { useDeferredValue } from 'react';
import type { Schema } from '../../shared/api';
import { useToday } from '../shell/day';
import { Told } from '../shell/TasksMove';
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
      <Told follows={{ ...follows, moved: others }} today={today} />
    </div>
  );
}
