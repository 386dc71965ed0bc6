import { expect, it } from 'vitest';
import { pageWord } from './pageWord';

it('follows from the place of the page, unless somebody wrote a word', () => {
  expect(['', 'Send', 'Next', ' '].map((own) => pageWord(own, false))).toEqual(['Next', 'Next', 'Next', 'Next']);
  expect(['', 'Send', 'Next', ' '].map((own) => pageWord(own, true))).toEqual(['Send', 'Send', 'Send', 'Send']);
  expect([pageWord('Now your piano', false), pageWord('Ask for a visit', true)]).toEqual([
    'Now your piano',
    'Ask for a visit',
  ]);
});
