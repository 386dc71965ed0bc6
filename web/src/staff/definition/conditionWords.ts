import { asks } from '../../form/answers';
import type { Condition } from '../../shared/condition';
import { questionsOf, type Definition } from './design';

/** The number that a question carries; 0 for what only tells, and for what is not there. */
export function numberOf(definition: Definition, key: string): number {
  const asking = questionsOf(definition).filter(asks);
  return asking.findIndex((question) => question.key === key) + 1;
}

/** A condition in words, with the questions by their numbers. */
export function conditionWords(condition: Condition, definition: Definition): string {
  if ('all' in condition)
    return condition.all.map((part) => conditionWords(part, definition)).join(' and ') || 'always';
  if ('any' in condition) return condition.any.map((part) => conditionWords(part, definition)).join(' or ') || 'never';
  if ('not' in condition) return `not (${conditionWords(condition.not, definition)})`;
  const number = numberOf(definition, condition.question);
  const given = condition.values ?? (condition.value === undefined ? [] : [condition.value]);
  const options = questionsOf(definition).find((question) => question.key === condition.question)?.options ?? [];
  const values = given.map((value) => options.find((option) => option.value === value)?.label ?? value);
  return `${number > 0 ? number : `“${condition.question}”`} ${operatorWords[condition.op]} ${values.join(', ')}`.trim();
}

export const operatorWords: Record<string, string> = {
  is: 'is',
  'is-one-of': 'is one of',
  contains: 'contains the letters',
  'has-word': 'contains the word',
  'has-none-of': 'contains none of',
  'is-blank': 'is blank',
  'more-than': 'is more than',
  'at-most': 'is at most',
  before: 'is before',
  after: 'is after',
  'within-days': 'is within the next days:',
  between: 'is between',
};
