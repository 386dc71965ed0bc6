import { ChoiceField } from '../ChoiceField';
import type { Question } from '../types';
import type { Designed, FieldProps, Offering, QuestionKind } from './kind';
import { written } from './written';

interface Choice {
  designed: Omit<Designed, 'operators'> & { operators?: string[] };
  offered: (question: Offering) => { value: string; label: string }[];
  missing?: string;
  told?: (question: Question, value: string) => string;
  /** Several may be ticked. */
  many?: true;
  /** The choices stand beside one another. */
  beside?: true;
  wrong?: (question: Question, text: string) => string | null;
}

export const asked = ['is', 'is-one-of', 'has-none-of', 'is-blank'];

/** A kind whose answer is one of some. */
export function choice({
  offered,
  many,
  beside,
  designed,
  missing = 'Choose one.',
  told,
  wrong,
}: Choice): QuestionKind {
  return written({
    designed: { operators: asked, ...designed },
    missing,
    offered,
    ...(told && { told }),
    ...(wrong && { wrong }),
    ...(many ? {} : { isRadio: (question: Question) => !question.asList }),
    Field: ({ question, fields }: FieldProps) => (
      <ChoiceField
        question={question}
        register={fields.register}
        offered={offered(question)}
        many={many}
        beside={beside}
      />
    ),
  });
}

/** Choices that are the numbers themselves. */
export function steps(from: number, to: number): () => { value: string; label: string }[] {
  const numbers = Array.from({ length: to - from + 1 }, (_, i) => ({
    value: String(from + i),
    label: String(from + i),
  }));
  return () => numbers;
}
