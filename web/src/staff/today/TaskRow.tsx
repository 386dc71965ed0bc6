import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { moment, shortDay } from '../../shared/words';
import type { By } from './groups';
import type { Task } from './queries';
import { firstName } from '../../shared/firstName';

interface Props {
  task: Task;
  today: string;
  by: By;
  /** Whether whose it is has to be said. */
  named: boolean;
  at: boolean;
  chosen: boolean;
  busy: boolean;
  onAt: () => void;
  onDone: () => void;
}

/** A task as a line that is ticked where it stands. */
export function TaskRow({ task, today, by, named, at, chosen, busy, onAt, onDone }: Props) {
  const ticked = task.steps.filter((step) => step.done).length;
  const beside = [
    by !== 'project' && `${task.client}, ${task.project.label}`,
    named && by !== 'person' && firstName(task.assignee),
    task.steps.length > 0 && `${ticked} of ${task.steps.length} steps`,
    task.away && `${firstName(task.assignee)} is away then`,
    task.comments > 0 && (task.comments === 1 ? '1 comment' : `${task.comments} comments`),
  ].filter(Boolean);
  return (
    <li
      id={`task-${task.id}`}
      className={['task-line', at && 'at', chosen && 'chosen'].filter(Boolean).join(' ')}
      onClick={onAt}
    >
      <input
        type="checkbox"
        className="task-tick"
        aria-label={`${task.name} is done`}
        checked={false}
        disabled={busy}
        onChange={onDone}
      />
      <span className="task-line-name">
        {task.project.path ? <Link to={task.project.path}>{task.name}</Link> : task.name}
        <small className="second">{beside.join('. ')}</small>
      </span>
      {chosen && <span className="second">chosen</span>}
      {task.state === 'waiting' ? (
        <Mark kind="waiting">
          {task.waitsFor.length === 1 ? `waits for ${task.waitsFor[0]}` : `waits for ${task.waitsFor.length}`}
        </Mark>
      ) : null}
      <span className={task.late ? 'figures late' : 'figures'}>{dueWords(task, today, by)}</span>
    </li>
  );
}

/** By when; nothing where its group says it. */
function dueWords(task: Task, today: string, by: By): string {
  if (task.late) return `since ${moment(task.due).toFormat('d LLL')}`;
  if (task.due === today) return 'today';
  return by === 'day' && task.state !== 'waiting' ? '' : shortDay(task.due, today);
}
