import type { Answers } from './types';

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
