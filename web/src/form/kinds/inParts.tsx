import type { InputHTMLAttributes } from 'react';
import { partOf } from '../held';
import type { At } from '../bounds';
import { PartsField } from '../PartsField';
import type { Question } from '../types';
import { one, type Designed, type FieldProps, type QuestionKind } from './kind';
import { lengthOf } from './written';

export interface Part {
  name: string;
  label: string;
  input?: InputHTMLAttributes<HTMLInputElement>;
  wide?: boolean;
  /** Cannot be left out once anything is written. */
  needed?: true;
}

interface InParts extends Partial<Omit<QuestionKind, 'designed'>> {
  designed: Omit<Designed, 'operators'> & { operators?: string[] };
  parts: Part[];
  between?: string;
  missing?: string;
  /** What is wrong once all that is needed is there. */
  wrong?: (question: Question, part: (name: string) => string, at: At | undefined) => string | null;
}

/** A kind whose answer comes in parts. */
export function inParts({
  designed,
  parts,
  between = ', ',
  missing = 'This is needed.',
  wrong,
  ...more
}: InParts): QuestionKind {
  const said = (part: (name: string) => string) => parts.some(({ name }) => part(name) !== '');
  return {
    designed: { operators: ['has-word', 'has-none-of', 'contains', 'is', 'is-blank'], ...designed },
    asks: true,
    isShown: true,
    canTry: true,
    offered: () => [],
    given: (question, answers) => {
      const part = (name: string) => partOf(answers, question.key, name);
      if (!said((name) => part(name).trim())) return null;
      return Object.fromEntries(parts.map(({ name }) => [name, part(name)]));
    },
    faults: (question, answers, { needed, at }) => {
      const part = (name: string) => partOf(answers, question.key, name).trim();
      if (!said(part)) return one(question, needed ? missing : null);
      const long = parts.find(({ name }) => lengthOf(part(name)) > question.maxLength);
      if (long) return one(question, `${long.label}: shorten this to ${question.maxLength} characters.`);
      const missed = parts.find((one) => one.needed && part(one.name) === '');
      return one(question, missed ? `${missed.label}: this is needed too.` : (wrong?.(question, part, at) ?? null));
    },
    text: (_, answer) =>
      typeof answer !== 'object' || Array.isArray(answer)
        ? ''
        : parts
            .map(({ name }) => (answer[name] ?? '').trim())
            .filter(Boolean)
            .join(between),
    Field: ({ question, fields, error }: FieldProps) => (
      <PartsField question={question} parts={parts} register={fields.register} wrong={error !== null} />
    ),
    ...more,
  };
}
