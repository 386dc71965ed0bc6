import { moment } from '../../shared/words';
import type { SubmissionRow } from './queries';

/** Puts waiting submissions, soonest due first, under headings: Late, This morning, This afternoon, Tomorrow, Later. */
export function groups(rows: SubmissionRow[], today: string): { name: string; rows: SubmissionRow[] }[] {
  const found: { name: string; rows: SubmissionRow[] }[] = [];
  for (const row of rows) {
    const name = row.state === 'waiting' ? heading(row, today) : '';
    const last = found.at(-1);
    if (last?.name === name) last.rows.push(row);
    else found.push({ name, rows: [row] });
  }
  return found;
}

function heading(row: SubmissionRow, today: string): string {
  if (row.putOff) return 'Put off';
  if (row.clock.state === 'over') return 'Late';
  const due = moment(row.clock.dueAt);
  const days = Math.round(due.startOf('day').diff(moment(today).startOf('day'), 'days').days);
  if (days <= 0) return due.hour < 12 ? 'This morning' : 'This afternoon';
  return days === 1 ? 'Tomorrow' : 'Later';
}
