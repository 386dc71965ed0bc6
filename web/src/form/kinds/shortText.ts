import { written } from './written';

export const shortText = written({
  designed: {
    words: 'short text',
    group: 'Text',
    also: 'line word input single field title subject answer',
    begins: true,
    letters: 200,
    fits: true,
  },
});
