import { inParts } from './inParts';

export const nameParts = inParts({
  designed: {
    words: 'a name in two fields',
    group: 'Who',
    also: 'first last forename surname given family full person',
  },
  parts: [
    { name: 'given', label: 'Given name', input: { autoComplete: 'given-name' }, needed: true },
    { name: 'family', label: 'Family name', input: { autoComplete: 'family-name' } },
  ],
  between: ' ',
  missing: 'Tell us your name.',
  wrong: (_, part) => (/\p{L}/u.test(part('given') + part('family')) ? null : 'Write a name with letters.'),
});
