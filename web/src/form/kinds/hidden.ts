import { written } from './written';

export const hidden = written({
  designed: { words: 'hidden value', group: 'More', also: 'parameter campaign utm source url' },
  isShown: false,
  faults: () => [],
});
