import { linesOf, listOf, partOf, textOf } from './answers';
import { dayFault, numberFault, type At } from './bounds';
import type { Answers, Question } from './types';

export interface Fault {
  /** The question's key; for a table, with the line and the column. */
  path: string;
  message: string;
}

/** What is wrong with the answer to one question, as far as can be said before sending. */
export function faultsOf(question: Question, answers: Answers, files: number, needed: boolean, at?: At): Fault[] {
  if (question.type === 'lines') {
    const lines = linesOf(answers, question.key);
    if (lines.length === 0) return needed ? [{ path: question.key, message: 'Add at least one line.' }] : [];
    return lines.flatMap((line, i) =>
      question.lines.flatMap((column) => {
        const message = fault(column, line, 0);
        return message ? [{ path: `${question.key}.${i}.${column.key}`, message }] : [];
      }),
    );
  }
  const message = fault(question, answers, files, needed, at);
  return message ? [{ path: question.key, message }] : [];
}

/**
 * What can be said before sending: a needed answer that is missing, an email without its parts. The server
 * checks everything again and has the last word.
 */
export function fault(
  question: Question,
  answers: Answers,
  files: number,
  needed = question.required,
  at?: At,
): string | null {
  const { key, type } = question;
  switch (type) {
    case 'statement':
    case 'section':
    case 'hidden':
      return null;
    case 'files':
      return needed && files === 0 ? 'Add at least one file.' : null;
    case 'any-of':
      return needed && listOf(answers, key).length === 0 ? 'Choose at least one.' : null;
    case 'name-parts':
    case 'address-parts':
    case 'day-time':
    case 'day-span':
    case 'signature':
      return partsFault(question, answers, needed);
    default:
      return textFault(question, textOf(answers, key).trim(), needed, at);
  }
}

function textFault(question: Question, text: string, needed: boolean, at?: At): string | null {
  if (text === '') return needed ? missing(question) : null;
  if (text.length > question.maxLength)
    return `Shorten this to ${question.maxLength.toLocaleString('en-GB')} characters. It has ${text.length.toLocaleString('en-GB')} now.`;
  if (text.length < question.minLength)
    return `Write at least ${question.minLength.toLocaleString('en-GB')} characters. It has ${text.length.toLocaleString('en-GB')} now.`;
  switch (question.type) {
    case 'email':
      return emailFault(text);
    case 'phone':
      return /[^\d\s().+/-]/.test(text) ? 'Use figures, like 020 914 3327.' : null;
    case 'number':
      return /\d/.test(text) ? numberFault(question, text) : 'Write it in figures, like 12.';
    case 'money':
      return /\d/.test(text) ? numberFault(question, text) : 'Write it in figures, like 120.00.';
    case 'day':
      return at ? dayFault(question, text, at) : null;
    case 'time':
      return timeFault(text);
    default:
      return null;
  }
}

const needsPart: Record<string, [part: string, name: string][]> = {
  'name-parts': [['given', 'Given name']],
  'address-parts': [
    ['line', 'Street and number'],
    ['locality', 'Town'],
  ],
  'day-time': [
    ['day', 'Day'],
    ['time', 'Time'],
  ],
  'day-span': [
    ['from', 'First day'],
    ['to', 'Last day'],
  ],
};

function partsFault(question: Question, answers: Answers, needed: boolean): string | null {
  const part = (name: string) => partOf(answers, question.key, name).trim();
  if (question.type === 'signature') {
    if (part('name') === '')
      return needed || part('how') === 'drawn' ? 'Sign here: write your name, then draw or confirm it.' : null;
    const done = part('how') === 'typed' || (part('how') === 'drawn' && part('image') !== '');
    return done ? null : 'Draw your signature, or say that your typed name is it.';
  }
  const names =
    question.type === 'name-parts'
      ? ['given', 'family']
      : ['line', 'locality', 'postalCode', 'country', 'day', 'time', 'from', 'to'];
  if (names.every((name) => part(name) === ''))
    return needed ? (question.type === 'name-parts' ? 'Tell us your name.' : 'This is needed.') : null;
  const missed = needsPart[question.type]?.find(([name]) => part(name) === '');
  if (missed) return `${missed[1]}: this is needed too.`;
  return question.type === 'day-time' ? timeFault(part('time')) : null;
}

function timeFault(text: string): string | null {
  return /^([01]\d|2[0-3]):[0-5]\d$/.test(text) ? null : 'Write the time like 14:30.';
}

function missing(question: Question): string {
  switch (question.type) {
    case 'person-name':
      return 'Tell us your name.';
    case 'email':
      return 'Tell us your email address, so that we can answer.';
    case 'consent':
      return 'We need your consent for this.';
    case 'one-of':
    case 'yes-no':
    case 'scale':
    case 'rating':
      return 'Choose one.';
    default:
      return 'This is needed.';
  }
}

function emailFault(text: string): string | null {
  const [, domain] = text.split('@');
  if (domain === undefined) return 'An email address has an @ in it, like name@example.com.';
  if (domain === '') return 'Add what comes after the @, such as example.com.';
  return domain.includes('.') ? null : 'Add the ending, such as .com.';
}
