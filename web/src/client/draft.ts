import type { Answers } from '../form/types';
import type { KeptFile } from '../form/upload';
import { newKey } from '../shared/newKey';

/** What somebody has typed and not sent: kept in the browser until it is. */
export interface Draft {
  answers: Answers;
  files: Record<string, KeptFile[]>;
  /** Names of files that had not gone through yet. */
  unfinished: Record<string, string[]>;
  /** Names this one sending, however often it is tried. */
  key: string;
}

/** How a form is kept: two people's links in one browser are two forms; one whose link ran out goes on with what was written. */
export const keptAs = (slug: string, link: string) => (link === '' ? slug : `${slug}~${link.slice(-24)}`);

const name = (slug: string) => `telamon.form.${slug}`;

export function emptyDraft(): Draft {
  return { answers: {}, files: {}, unfinished: {}, key: newKey() };
}

export function keptDraft(slug: string): Draft {
  try {
    const data = JSON.parse(localStorage.getItem(name(slug)) ?? '') as Partial<Draft>;
    if (data.answers && data.files && typeof data.key === 'string')
      return { answers: data.answers, files: data.files, unfinished: data.unfinished ?? {}, key: data.key };
  } catch {
    // Nothing kept, or nothing of ours: begin anew.
  }
  return emptyDraft();
}

export function keepDraft(slug: string, draft: Draft): void {
  try {
    localStorage.setItem(name(slug), JSON.stringify(draft));
  } catch {
    // A full or forbidden store must not stop anybody from writing to us.
  }
}

export function forgetDraft(slug: string): void {
  try {
    localStorage.removeItem(name(slug));
  } catch {
    // As above.
  }
}
