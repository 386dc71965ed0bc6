import { emptyDraft, keepDraft, type Draft } from './draft';
import type { Answers, PublicForm } from '../form/types';

const name = (slug: string) => `telamon.carried.${slug}`;

interface Carried {
  keys: string[];
  /** From the receipt of the form before. */
  continues: string;
}

const nothing: Carried = { keys: [], continues: '' };

/** Takes what was just answered over to another form, as the server has matched it to what that form asks. */
export function carryOn(slug: string, carried: Record<string, unknown>, continues: string): void {
  const kept = carried as Answers;
  keepDraft(slug, { ...emptyDraft(), answers: kept });
  sessionStorage.setItem(name(slug), JSON.stringify({ keys: Object.keys(kept), continues }));
}

/** What came over from the form before. */
export function carriedTo(slug: string): Carried {
  try {
    const kept = JSON.parse(sessionStorage.getItem(name(slug)) ?? '') as Partial<Carried>;
    return Array.isArray(kept.keys) && typeof kept.continues === 'string'
      ? { keys: kept.keys, continues: kept.continues }
      : nothing;
  } catch {
    return nothing;
  }
}

export function forgetCarried(slug: string): void {
  sessionStorage.removeItem(name(slug));
}

/**
 * What stands in the fields before anybody writes: hidden values from the parameters of the address that the form
 * names, and no others; defaults where nothing was kept.
 */
export function withBeginnings(form: PublicForm, draft: Draft): Draft {
  const parameters = new URLSearchParams(window.location.search);
  const begun: Answers = {};
  for (const question of form.pages.flatMap((page) => page.questions)) {
    const value = question.type === 'hidden' && question.parameter !== '' ? parameters.get(question.parameter) : null;
    if (value) begun[question.key] = value.slice(0, question.maxLength);
    else if (question.default !== '' && draft.answers[question.key] === undefined)
      begun[question.key] = question.type === 'any-of' ? [question.default] : question.default;
  }
  return { ...draft, answers: { ...draft.answers, ...begun } };
}
