import type { ComponentType, InputHTMLAttributes } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import type { Answer } from '../../shared/condition';
import type { At } from '../bounds';
import type { Answers, Question } from '../types';
import type { KeptFile } from '../upload';
import type { Uploads } from '../uploads';

export interface Fault {
  /** The question's key; for a table, with the line and the column. */
  path: string;
  message: string;
}

/** What a question is checked with: how many files came, whether it must be answered, the day at the business. */
interface Held {
  files: number;
  needed: boolean;
  at?: At | undefined;
}

export interface FieldProps {
  question: Question;
  fields: Pick<UseFormReturn<Answers>, 'register' | 'control' | 'setValue' | 'getValues'>;
  error: string | null;
  /** What is wrong in a table, by line and column. */
  lineErrors: Record<string, string>;
  uploads: Uploads;
  onGoing: (is: boolean) => void;
}

export type Group = 'Text' | 'Choices' | 'Who' | 'Where' | 'When' | 'How much' | 'Files' | 'More';

/** What the designer says of a kind. */
export interface Designed {
  words: string;
  group: Group;
  /** Everyday words for it, beside its name. */
  also: string;
  /** How conditions may ask about its answers. */
  operators: string[];
  /** Whether a least and a most may be set. */
  bounded?: true;
  /** Whether the field may begin with something. */
  begins?: true;
  /** How many letters it takes where nobody says. */
  letters?: number;
  /** Whether a pattern may be set. */
  fits?: true;
  /** Whether its choices are written by whoever designs the form. */
  offers?: true;
  /** Whether its answers may count towards the order of arrivals: by choice, from an amount, or within days. */
  counts?: 'choice' | 'amount' | 'days';
}

/** What may be chosen rests on this, of a question as it is asked or as it is being designed. */
export interface Offering {
  wording: string;
  options?: { value: string; label: string }[];
}

/** One kind of question in the browser; the server's class of the same name has the last word. */
export interface QuestionKind {
  designed: Designed;
  /** Whether anything is asked; what only tells has no number and no answer. */
  asks: boolean;
  /** Whether whoever fills the form in sees it. */
  isShown: boolean;
  /** Whether it can be tried without sending: files and signatures cannot. */
  canTry: boolean;
  /** What may be chosen; nothing where it is written. */
  offered: (question: Offering) => { value: string; label: string }[];
  /** The answer as it is sent; null where nothing was answered. */
  given: (question: Question, answers: Answers, files: KeptFile[]) => Answer | null;
  /** What is wrong, as far as can be said before sending. */
  faults: (question: Question, answers: Answers, held: Held) => Fault[];
  /** The answer as one text, as the sheet will read it. */
  text: (question: Question, answer: Answer) => string;
  /** Its controls, where it has several; one input otherwise. */
  Field?: ComponentType<FieldProps>;
  /** Whether the controls are one choice, which a screen reader is told. */
  isRadio?: (question: Question) => boolean;
  /** What a browser can fill in by itself, and which keyboard a phone shows. */
  input?: InputHTMLAttributes<HTMLInputElement>;
  /** Several lines. */
  isLong?: true;
  /** A calendar stands beside it. */
  hasCalendar?: true;
  /** Written out as soon as the field is left, for everybody to see. */
  understand?: (text: string, at: At | undefined) => string;
}

/** One fault of a question, or none. */
export function one(question: Question, message: string | null): Fault[] {
  return message === null ? [] : [{ path: question.key, message }];
}
