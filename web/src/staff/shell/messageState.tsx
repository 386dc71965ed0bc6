import type { Schema } from '../../shared/api';
import { Mark, type MarkKind } from '../../shared/Mark';

const marks: Record<Schema<'MessageState'>, [MarkKind, string]> = {
  queued: ['new', 'queued'],
  sending: ['under-way', 'being sent'],
  sent: ['done', 'sent'],
  failed: ['choose', 'not sent'],
  cancelled: ['stopped', 'cancelled'],
  held: ['waiting', 'held'],
};

export function MessageMark({ state }: { state: Schema<'MessageState'> }) {
  const [kind, word] = marks[state];
  return <Mark kind={kind}>{word}</Mark>;
}
