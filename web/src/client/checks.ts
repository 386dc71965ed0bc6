import type { Answers, Question } from './queries';

/**
 * What can be said before sending: a needed answer that is missing, an email without its parts. The server
 * checks everything again and has the last word.
 */
export function fault(question: Question, answers: Answers, files: number): string | null {
  const text = (answers[question.key] ?? '').trim();
  if (question.type === 'files') return question.required && files === 0 ? 'Add at least one file.' : null;
  if (text === '') {
    if (!question.required) return null;
    if (question.type === 'person-name') return 'Tell us your name.';
    if (question.type === 'email') return 'Tell us your email address, so that we can answer.';
    return question.type === 'one-of' ? 'Choose one.' : 'This is needed.';
  }
  if (text.length > question.maxLength)
    return `Shorten this to ${question.maxLength.toLocaleString('en-GB')} characters. It has ${text.length.toLocaleString('en-GB')} now.`;
  if (question.type === 'email') {
    const [, domain] = text.split('@');
    if (domain === undefined) return 'An email address has an @ in it, like name@example.com.';
    if (domain === '') return 'Add what comes after the @, such as example.com.';
    if (!domain.includes('.')) return 'Add the ending, such as .com.';
  }
  if (question.type === 'phone' && /[^\d\s().+/-]/.test(text)) return 'Use figures, like 020 914 3327.';
  return null;
}
