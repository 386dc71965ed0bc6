import { asks } from '../form/answers';
import { kinds } from '../form/kinds';
import type { PublicForm } from '../form/types';

/** Those that are asked, numbered without gaps: what is hidden takes no number. */
export function consecutive(questions: PublicForm['pages'][number]['questions']) {
  let number = 0;
  return new Map(
    questions.map((question) => [
      question.key,
      asks(question) && kinds[question.type].isShown ? { ...question, number: ++number } : question,
    ]),
  );
}

/** What is wrong inside one table, by line and column. */
export function under(lines: Record<string, string>, key: string): Record<string, string> {
  return Object.fromEntries(
    Object.entries(lines).flatMap(([path, message]) =>
      path.startsWith(`${key}.`) ? [[path.slice(key.length + 1), message]] : [],
    ),
  );
}
