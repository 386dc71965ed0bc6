import { written } from './written';

export const address = written({
  designed: { words: 'address on one line', group: 'Where', also: 'street place location postcode zip where' },
  input: { autoComplete: 'street-address' },
});
