import { textOf } from '../held';
import type { At } from '../bounds';
import type { Question } from '../types';
import { one, type Designed, type QuestionKind } from './kind';

interface Written extends Partial<Omit<QuestionKind, 'designed'>> {
  designed: Omit<Designed, 'operators'> & { operators?: string[] };
  /** What is said where it is needed and was not answered. */
  missing?: string;
  /** What is wrong with a text that is there. */
  wrong?: (question: Question, text: string, at: At | undefined) => string | null;
  told?: (question: Question, text: string) => string;
}

const asText = ['has-word', 'has-none-of', 'contains', 'is', 'is-blank'];

export function label(question: Question, value: string): string {
  return question.options.find((option) => option.value === value)?.label ?? value;
}

/** In characters of Unicode, as the server counts: a letter outside the first plane is one. */
export function lengthOf(text: string): number {
  return Array.from(text).length;
}

const letters = (text: string) => lengthOf(text).toLocaleString('en-GB');

/** A kind whose answer is one text. */
export function written({
  designed,
  missing = 'This is needed.',
  wrong,
  told = label,
  ...more
}: Written): QuestionKind {
  const fault = (question: Question, text: string, needed: boolean, at: At | undefined): string | null => {
    if (text === '') return needed ? missing : null;
    if (lengthOf(text) > question.maxLength)
      return `Shorten this to ${question.maxLength.toLocaleString('en-GB')} characters. It has ${letters(text)} now.`;
    if (lengthOf(text) < question.minLength)
      return `Write at least ${question.minLength.toLocaleString('en-GB')} characters. It has ${letters(text)} now.`;
    return wrong?.(question, text, at) ?? null;
  };
  return {
    designed: { operators: asText, ...designed },
    asks: true,
    isShown: true,
    canTry: true,
    offered: () => [],
    given: (question, answers) => {
      const text = textOf(answers, question.key);
      return text.trim() === '' ? null : text;
    },
    faults: (question, answers, { needed, at }) =>
      one(question, fault(question, textOf(answers, question.key).trim(), needed, at)),
    text: (question, answer) => (typeof answer === 'string' ? told(question, answer) : ''),
    ...more,
  };
}
