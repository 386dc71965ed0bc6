import { listOf, textOf } from './answers';
import type { Answers, Question } from './queries';

/**
 * What can be said before sending: a needed answer that is missing, an email without its parts. The server
 * checks everything again and has the last word.
 */
export function fault(question: Question, answers: Answers, files: number, needed = question.required): string | null {
  if (question.type === 'statement' || question.type === 'hidden') return null;
  if (question.type === 'files') return needed && files === 0 ? 'Add at least one file.' : null;
  if (question.type === 'any-of')
    return needed && listOf(answers, question.key).length === 0 ? 'Choose at least one.' : null;
  const text = textOf(answers, question.key).trim();
  if (text === '') return needed ? missing(question) : null;
  if (text.length > question.maxLength)
    return `Shorten this to ${question.maxLength.toLocaleString('en-GB')} characters. It has ${text.length.toLocaleString('en-GB')} now.`;
  switch (question.type) {
    case 'email':
      return emailFault(text);
    case 'phone':
      return /[^\d\s().+/-]/.test(text) ? 'Use figures, like 020 914 3327.' : null;
    case 'number':
      return /^[+-]?\d+(\.\d+)?$/.test(text) ? null : 'Write it in figures, like 12.';
    case 'money':
      return /^[€£$\s]*[+-]?\d+(\.\d+)?$/.test(text) ? null : 'Write it in figures, like 120.00.';
    case 'time':
      return /^([01]\d|2[0-3]):[0-5]\d$/.test(text) ? null : 'Write a time like 14:30.';
    default:
      return null;
  }
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
