import { newKey } from '../../shared/newKey';
import type { Answers } from '../../form/types';
import type { KeptFile } from '../../form/upload';
import type { InquiryEdit } from './queries';

/** What is written down and not saved, kept in the browser as it is typed. */
export interface InquiryDraft {
  form: string;
  client: { id: string; label: string } | null;
  channel: InquiryEdit['channel'];
  answered: boolean;
  answers: Answers;
  /** What stood in the form beforehand, by question key. */
  onFile: Answers;
  files: Record<string, KeptFile[]>;
  /** Names this one saving, however often it is tried. */
  key: string;
}

export function emptyDraft(client: InquiryDraft['client']): InquiryDraft {
  return { form: '', client, channel: 'phone', answered: true, answers: {}, onFile: {}, files: {}, key: newKey() };
}

const same = (a: unknown, b: unknown) => JSON.stringify(a ?? '') === JSON.stringify(b ?? '');

/** What is on file now put into the answers: where nothing is written, or only what was on file before. */
export function withOnFile(answers: Answers, before: Answers, now: Answers): Answers {
  const next = { ...answers };
  for (const key of new Set([...Object.keys(before), ...Object.keys(now)])) {
    const held = next[key];
    if (held === undefined || held === '' || same(held, before[key])) next[key] = now[key] ?? '';
  }
  return next;
}

/** Whether an answer is what was on file. */
export function isOnFile(draft: Pick<InquiryDraft, 'answers' | 'onFile'>, key: string): boolean {
  return draft.onFile[key] !== undefined && same(draft.answers[key], draft.onFile[key]);
}
