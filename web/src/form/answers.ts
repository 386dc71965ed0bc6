import { holds, type Answer, type Condition } from '../shared/condition';
import { kinds } from './kinds';
import type { Answers, PublicForm, Question } from './types';
import type { KeptFile } from './upload';

/** Whether anything is asked; what only tells has no number and no answer. */
export function asks(question: { type: Question['type'] }): boolean {
  return kinds[question.type].asks;
}

/** An answer as it is sent; null where nothing was answered. */
export function given(question: Question, answers: Answers, files: KeptFile[] = []): Answer | null {
  return kinds[question.type].given(question, answers, files);
}

/** Everything that was answered, by question key, as it is sent. */
export function collected(
  questions: Question[],
  answers: Answers,
  files: Record<string, KeptFile[]> = {},
): Record<string, Answer> {
  return Object.fromEntries(
    questions.flatMap((question) => {
      const answer = given(question, answers, files[question.key]);
      return answer === null ? [] : [[question.key, answer]];
    }),
  );
}

/** An answer as one text, as the sheet will read it. */
export function answerText(question: Question, answer: Answer | null): string {
  return answer === null ? '' : kinds[question.type].text(question, answer);
}

function facts(form: PublicForm, answers: Record<string, Answer>) {
  return { answers, today: form.today, order: form.dayOrder };
}

/** The questions that are asked, page by page: a condition never sees the answer to one that is not shown. */
export function shownPages(
  form: PublicForm,
  answers: Answers,
): { page: PublicForm['pages'][number]; questions: Question[] }[] {
  const seen: Record<string, Answer> = {};
  return form.pages.map((page) => ({
    page,
    questions: page.questions.filter((question) => {
      if (question.showIf && !holds(question.showIf as unknown as Condition, facts(form, seen))) return false;
      const answer = given(question, answers);
      if (answer !== null) seen[question.key] = answer;
      return true;
    }),
  }));
}

/** Whether an answer is needed, given those before. */
export function isNeeded(form: PublicForm, question: Question, answers: Answers): boolean {
  if (question.required) return true;
  if (!question.requiredIf) return false;
  const seen = collected(
    shownPages(form, answers).flatMap((page) => page.questions),
    answers,
  );
  return holds(question.requiredIf as unknown as Condition, facts(form, seen));
}

/** Which questions stand beside the one before, on the same line. */
export function besideOthers(questions: Question[]): Set<string> {
  const beside = new Set<string>();
  let used = 0;
  for (const question of questions) {
    const width = question.third ? 2 : question.half ? 3 : 6;
    if (used > 0 && used + width <= 6) {
      beside.add(question.key);
      used += width;
    } else {
      used = width;
    }
    if (used >= 6) used = 0;
  }
  return beside;
}
