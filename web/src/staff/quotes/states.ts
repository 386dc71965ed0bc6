import type { Schema } from '../../shared/api';
import type { MarkKind } from '../../shared/Mark';

/** What each state is called, and its mark. */
export const states: Record<Schema<'QuoteState'>, { mark: MarkKind; word: string; course: string }> = {
  draft: { mark: 'under-way', word: 'draft', course: 'Draft' },
  sent: { mark: 'waiting', word: 'sent', course: 'Sent' },
  opened: { mark: 'waiting', word: 'opened', course: 'Opened' },
  accepted: { mark: 'done', word: 'accepted', course: 'Accepted' },
  declined: { mark: 'stopped', word: 'declined', course: 'Not taken' },
  expired: { mark: 'stopped', word: 'ran out', course: 'Not taken' },
  replaced: { mark: 'stopped', word: 'replaced', course: 'Not taken' },
};

export const courses = ['Draft', 'Sent', 'Opened', 'Accepted', 'Not taken'] as const;

/** “1,240.00”, from a decimal as text: the figures stay as they are. */
export function money(sum: string): string {
  const [whole = '0', part] = sum.replace('-', '').split('.');
  return `${sum.startsWith('-') ? '−' : ''}${whole.replace(/\B(?=(\d{3})+$)/g, ',')}${part === undefined ? '' : `.${part}`}`;
}
