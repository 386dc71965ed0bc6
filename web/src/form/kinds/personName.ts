import { written } from './written';

export const personName = written({
  designed: {
    words: 'a person’s name',
    group: 'Who',
    also: 'full first last forename surname who client customer contact',
  },
  input: { autoComplete: 'name' },
  missing: 'Tell us your name.',
  wrong: (_, text) => (/\p{L}/u.test(text) ? null : 'Write a name with letters.'),
});
