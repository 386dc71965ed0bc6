import { written } from './written';

function wrong(_: unknown, text: string): string | null {
  const [, domain] = text.split('@');
  if (domain === undefined) return 'An email address has an @ in it, like name@example.com.';
  if (domain === '') return 'Add what comes after the @, such as example.com.';
  return domain.includes('.') ? null : 'Add the ending, such as .com.';
}

export const email = written({
  designed: { words: 'email', group: 'Who', also: 'mail e-mail address' },
  input: { type: 'email', autoComplete: 'email', inputMode: 'email', autoCapitalize: 'none' },
  missing: 'Tell us your email address, so that we can answer.',
  wrong,
});
