import { emptyDraft, keepDraft, type Draft } from './draft';
import type { PublicForm } from './queries';

const name = (slug: string) => `telamon.carried.${slug}`;

/** Takes what was just answered over to another form, where it is not asked again. */
export function carryOn(slug: string, answers: Record<string, string | string[]>): void {
  keepDraft(slug, { ...emptyDraft(), answers });
  sessionStorage.setItem(name(slug), JSON.stringify(Object.keys(answers)));
}

/** Keys of the questions that were answered in the form before. */
export function carriedKeys(slug: string): string[] {
  try {
    const keys: unknown = JSON.parse(sessionStorage.getItem(name(slug)) ?? '[]');
    return Array.isArray(keys) ? keys.filter((key): key is string => typeof key === 'string') : [];
  } catch {
    return [];
  }
}

export function forgetCarried(slug: string): void {
  sessionStorage.removeItem(name(slug));
}

/** Fills hidden values in from the parameters of the address that the form names, and no others. */
export function withHidden(form: PublicForm, draft: Draft): Draft {
  const parameters = new URLSearchParams(window.location.search);
  const hidden = Object.fromEntries(
    form.pages
      .flatMap((page) => page.questions)
      .filter((question) => question.type === 'hidden' && question.parameter !== '')
      .flatMap((question) => {
        const value = parameters.get(question.parameter);
        return value ? [[question.key, value.slice(0, question.maxLength)]] : [];
      }),
  );
  return { ...draft, answers: { ...draft.answers, ...hidden } };
}
