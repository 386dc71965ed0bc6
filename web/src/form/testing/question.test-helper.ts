import type { Question } from '../types';

const plain: Omit<Question, 'key' | 'number' | 'type' | 'wording'> = {
  hint: '',
  example: '',
  required: false,
  options: [],
  minLength: 0,
  maxLength: 200,
  maxFiles: 0,
  maxBytes: 0,
  fileKinds: 'any',
  min: '',
  max: '',
  half: false,
  third: false,
  parameter: '',
  default: '',
  asList: false,
  showIf: null,
  requiredIf: null,
  lines: [],
  maxLines: 0,
  picture: '',
};

/** A question of a public form, plain but for what is said of it. */
export function question(part: Pick<Question, 'key' | 'type'> & Partial<Question>): Question {
  return { ...plain, number: 1, wording: part.key, ...part };
}
