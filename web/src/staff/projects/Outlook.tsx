import type { Schema } from '../../shared/api';
import { count } from '../../shared/numbers';
import { shortDay } from '../../shared/words';
import { useToday } from '../shell/day';
import { Moves } from '../shell/TasksMove';
import { useSchedule } from './queries';

/** Whether the project will be ready by its day, and what decides it. */
export function Outlook({ project }: { project: Schema<'Project'> }) {
  const today = useToday();
  const ahead = useSchedule(project.id, '').data;
  if (!ahead?.done || !project.readyBy || project.outcome !== 'open') return null;
  if (ahead.shortBy === 0) return null;
  return (
    <p className="outlook" role="status">
      <b>{count(ahead.shortBy, 'working day')} short</b>{' '}
      <span className="hatch" style={{ width: Math.min(160, ahead.shortBy * 22) }} />
      <span className="second">
        {(ahead.verdict.split('; ')[1] ?? '').replace(/^the/, 'The')}. From today on, it is done by{' '}
        <b>{shortDay(ahead.done, today)}</b>.
      </span>
    </p>
  );
}

/** What another ready-by day would move, before it is saved. */
export function MovesWith({ project, day }: { project: Schema<'Project'>; day: string }) {
  const today = useToday();
  const looks = day !== '' && day !== project.readyBy;
  const moved = useSchedule(project.id, looks ? day : '').data?.moved ?? [];
  if (!looks) return null;
  return (
    <div className="moves-with second" aria-live="polite">
      <Moves moved={moved} today={today} />
    </div>
  );
}
