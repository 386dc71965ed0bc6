import type { AsideReason } from './queries';

export const asideReasons: { value: AsideReason; label: string }[] = [
  { value: 'advertising', label: 'Advertising' },
  { value: 'test', label: 'A test' },
  { value: 'duplicate', label: 'A duplicate' },
  { value: 'not-for-us', label: 'Not for us' },
  { value: 'other', label: 'Something else' },
];

/** How a reason reads beside its mark. */
export const asideWords: Record<string, string> = {
  advertising: 'advertising',
  test: 'a test',
  duplicate: 'a duplicate',
  'not-for-us': 'not for us',
  continued: 'carried on',
  'sent-away': 'sent away politely',
  other: 'set aside',
};
