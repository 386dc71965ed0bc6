import { written } from './written';

export const phone = written({
  designed: { words: 'phone', group: 'Who', also: 'telephone mobile cell call number' },
  input: { type: 'tel', autoComplete: 'tel', inputMode: 'tel' },
  wrong: (_, text) => (/[^\d\s().+/-]/.test(text) ? 'Use figures, like 020 914 3327.' : null),
});
