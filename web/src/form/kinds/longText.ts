import { written } from './written';

export const longText = written({
  designed: {
    words: 'long text',
    group: 'Text',
    also: 'paragraph textarea message comment notes description multi essay story',
    begins: true,
    letters: 4000,
  },
  isLong: true,
});
