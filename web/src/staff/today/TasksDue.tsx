import Checkbox from '@mui/material/Checkbox';
import { DateTime } from 'luxon';
import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { clockTime } from '../../shared/words';
import { firstName } from '../../shared/firstName';

type Task = Schema<'Task'>;

/** What is due, by project; the chosen one is done with a key. */
export function TasksDue({
  tasks,
  chosen,
  onChoose,
  onDone,
  busy,
  more,
}: {
  tasks: Task[];
  /** Whether more are due than are named. */
  more: boolean;
  chosen: string;
  onChoose: (id: string) => void;
  onDone: (task: Task) => void;
  busy: boolean;
}) {
  const projects = [...new Map(tasks.map((task) => [task.project.id, task.project])).values()];
  if (tasks.length === 0) return <p className="second tasks-none">Nothing is due today.</p>;
  return (
    <div className="tasks-due">
      {projects.map((project) => (
        <section key={project.id}>
          <p className="serif task-project">
            {project.path ? <Link to={project.path}>{project.label}</Link> : project.label}
          </p>
          <ul>
            {tasks
              .filter((task) => task.project.id === project.id)
              .map((task) => (
                <li key={task.id} className={task.id === chosen ? 'chosen' : ''} onClick={() => onChoose(task.id)}>
                  <Checkbox
                    size="small"
                    checked={task.state === 'done'}
                    disabled={busy || task.state === 'done'}
                    slotProps={{ input: { 'aria-label': `${task.name} is done` } }}
                    onChange={() => onDone(task)}
                  />
                  <span>{task.name}</span>
                  {task.state === 'done' ? (
                    <Mark kind="done">done</Mark>
                  ) : task.state === 'waiting' ? (
                    <Mark kind="waiting">waiting</Mark>
                  ) : (
                    <Mark kind="new">to do</Mark>
                  )}
                  <span className="second">{firstName(task.assignee)}</span>
                  <span className={task.late ? 'late' : ''}>
                    {task.finishedAt
                      ? clockTime(task.finishedAt)
                      : task.late
                        ? `since ${DateTime.fromISO(task.due).toFormat('d MMM')}`
                        : 'today'}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {more && <p className="second">These are the first {tasks.length}. More are due: the projects have them.</p>}
    </div>
  );
}
