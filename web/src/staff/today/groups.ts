import { moment } from '../../shared/words';
import type { Task } from './queries';

export type By = 'day' | 'project' | 'person';

interface Group {
  key: string;
  name: string;
  beside: string;
  tasks: Task[];
}

const dayName = (iso: string) => moment(iso).toFormat('cccc d LLLL');

/** Tasks in groups: late, today, each next day, and what waits for others; or by project, or by person. */
export function groupsOf(tasks: Task[], by: By, today: string): Group[] {
  const groups = new Map<string, Group>();
  for (const task of tasks) {
    const [key, name] =
      by === 'project'
        ? [task.project.id, `${task.project.label} for ${task.client}`]
        : by === 'person'
          ? [task.assigneeId, task.assignee]
          : task.state === 'waiting'
            ? ['waiting', 'Waiting for others']
            : task.late
              ? ['late', 'Late']
              : task.due === today
                ? ['today', 'Today']
                : [task.due, dayName(task.due)];
    const group = groups.get(key) ?? { key, name, beside: '', tasks: [] };
    group.tasks.push(task);
    groups.set(key, group);
  }
  const all = [...groups.values()];
  // What waits cannot be begun: it stands last.
  const order = (group: Group) => (group.key === 'waiting' ? 1 : 0);
  if (by === 'day') all.sort((a, b) => order(a) - order(b));
  if (by === 'person') all.sort((a, b) => a.name.localeCompare(b.name));
  return all.map((group) => ({ ...group, beside: `${group.tasks.length} to do` }));
}
