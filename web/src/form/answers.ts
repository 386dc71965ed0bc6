import { holds, type Answer, type Condition } from '../shared/condition';
import type { Answers, PublicForm, Question } from './types';
import type { KeptFile } from './upload';

/** The parts that an answer is given in, by their keys; the server knows the same. */
const partsOf: Partial<Record<Question['type'], string[]>> = {
  'name-parts': ['given', 'family'],
  'address-parts': ['line', 'locality', 'postalCode', 'country'],
  'day-time': ['day', 'time'],
  'day-span': ['from', 'to'],
  signature: ['name', 'how', 'image'],
};

/** Whether anything is asked; what only tells has no number and no answer. */
export function asks(question: { type: Question['type'] }): boolean {
  return question.type !== 'statement' && question.type !== 'section';
}

/** The answer as text; empty where there is none. */
export function textOf(answers: Answers, key: string): string {
  const answer = answers[key];
  return typeof answer === 'string' ? answer : '';
}

/** The choices made; a single ticked box may come as its value alone. */
export function listOf(answers: Answers, key: string): string[] {
  const answer = answers[key];
  if (Array.isArray(answer)) return answer.filter((one): one is string => typeof one === 'string');
  return typeof answer === 'string' && answer !== '' ? [answer] : [];
}

/** One part of an answer that comes in parts. */
export function partOf(answers: Answers, key: string, part: string): string {
  const answer = answers[key];
  if (typeof answer !== 'object' || Array.isArray(answer)) return '';
  const text = answer[part];
  return typeof text === 'string' ? text : '';
}

/** The lines of a table, each by its columns. */
export function linesOf(answers: Answers, key: string): Answers[] {
  const answer = answers[key];
  return Array.isArray(answer)
    ? answer.filter((one): one is Answers => typeof one === 'object' && !Array.isArray(one))
    : [];
}

/** An answer as it is sent; null where nothing was answered. */
export function given(question: Question, answers: Answers, files: KeptFile[] = []): Answer | null {
  const { key, type } = question;
  if (type === 'files') return files.length > 0 ? files.map((file) => file.id) : null;
  if (type === 'any-of') return listOf(answers, key).length > 0 ? listOf(answers, key) : null;
  if (type === 'lines') {
    const lines = linesOf(answers, key)
      .map((line) => collected(question.lines, line) as Record<string, string>)
      .filter((line) => Object.keys(line).length > 0);
    return lines.length > 0 ? lines : null;
  }
  const parts = partsOf[type];
  if (parts) {
    const texts = Object.fromEntries(parts.map((part) => [part, partOf(answers, key, part)]));
    const said = Object.entries(texts).some(([part, text]) => part !== 'how' && part !== 'image' && text.trim() !== '');
    return said ? texts : null;
  }
  const text = textOf(answers, key);
  return text.trim() === '' ? null : text;
}

/** Everything that was answered, by question key, as it is sent. */
export function collected(
  questions: Question[],
  answers: Answers,
  files: Record<string, KeptFile[]> = {},
): Record<string, Answer> {
  return Object.fromEntries(
    questions.flatMap((question) => {
      const answer = asks(question) ? given(question, answers, files[question.key]) : null;
      return answer === null ? [] : [[question.key, answer]];
    }),
  );
}

/** An answer as one text, as the sheet will read it. */
export function answerText(question: Question, answer: Answer | null): string {
  const label = (value: string) => question.options.find((option) => option.value === value)?.label ?? value;
  if (answer === null) return '';
  if (typeof answer === 'string') {
    if (question.type === 'yes-no') return answer === 'yes' ? 'Yes' : 'No';
    return question.type === 'consent' ? 'Given' : label(answer);
  }
  if (question.type === 'lines' && Array.isArray(answer))
    return answer
      .map((line) =>
        question.lines
          .flatMap((column) => {
            const text = typeof line === 'object' ? answerText(column, line[column.key] ?? null) : '';
            return text === '' ? [] : [`${column.wording}: ${text}`];
          })
          .join(', '),
      )
      .join('\n');
  if (Array.isArray(answer)) return answer.map((one) => (typeof one === 'string' ? label(one) : '')).join(', ');
  if (question.type === 'signature')
    return `Signed by ${answer.name ?? ''}${answer.how === 'drawn' ? ', drawn' : ', by typing the name'}`;
  const between = question.type === 'name-parts' ? ' ' : question.type === 'day-span' ? ' to ' : ', ';
  return (partsOf[question.type] ?? [])
    .map((part) => (answer[part] ?? '').trim())
    .filter(Boolean)
    .join(between);
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
