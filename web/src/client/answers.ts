import { holds, type Condition } from '../shared/condition';
import type { Answers, PublicForm, Question } from './queries';

/** The answer as text; empty where there is none. */
export function textOf(answers: Answers, key: string): string {
  const answer = answers[key];
  return typeof answer === 'string' ? answer : '';
}

/** The choices made; a single ticked box may come as its value alone. */
export function listOf(answers: Answers, key: string): string[] {
  const answer = answers[key];
  if (Array.isArray(answer)) return answer;
  return typeof answer === 'string' && answer !== '' ? [answer] : [];
}

function facts(form: PublicForm, answers: Record<string, string | string[]>) {
  return { answers, today: form.today, order: form.dayOrder };
}

/** The questions that are asked, page by page: a condition never sees the answer to one that is not shown. */
export function shownPages(
  form: PublicForm,
  answers: Answers,
): { page: PublicForm['pages'][number]; questions: Question[] }[] {
  const seen: Record<string, string | string[]> = {};
  return form.pages.map((page) => ({
    page,
    questions: page.questions.filter((question) => {
      if (question.showIf && !holds(question.showIf as unknown as Condition, facts(form, seen))) return false;
      seen[question.key] = question.type === 'any-of' ? listOf(answers, question.key) : textOf(answers, question.key);
      return true;
    }),
  }));
}

/** Whether an answer is needed, given those before. */
export function isNeeded(form: PublicForm, question: Question, answers: Answers): boolean {
  if (question.required) return true;
  if (!question.requiredIf) return false;
  const plain = Object.fromEntries(
    Object.keys(answers).map((key) => [key, Array.isArray(answers[key]) ? listOf(answers, key) : textOf(answers, key)]),
  );
  return holds(question.requiredIf as unknown as Condition, facts(form, plain));
}
