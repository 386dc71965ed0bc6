import { numberFault } from '../bounds';
import type { Question } from '../types';
import type { Designed, QuestionKind } from './kind';
import { written } from './written';

/** How conditions ask about numbers. */
export const asNumber = ['more-than', 'at-most', 'between', 'is', 'is-blank'];

/** A number as people write it; one in words is for the server. */
export function figures(designed: Omit<Designed, 'operators' | 'group'>, example: string): QuestionKind {
  return written({
    designed: { group: 'How much', operators: asNumber, bounded: true, begins: true, counts: 'amount', ...designed },
    input: { inputMode: 'decimal' },
    wrong: (question: Question, text) =>
      /\d/.test(text) ? numberFault(question, text) : `Write it in figures, like ${example}.`,
  });
}
