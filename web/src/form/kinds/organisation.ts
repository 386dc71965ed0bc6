import { written } from './written';

export const organisation = written({
  designed: { words: 'an organisation', group: 'Who', also: 'company business firm school hall club charity employer' },
  input: { autoComplete: 'organization' },
  wrong: (_, text) => (/\p{L}/u.test(text) ? null : 'Write a name with letters.'),
});
