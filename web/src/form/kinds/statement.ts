import { telling } from './telling';

export const statement = telling({
  words: 'a text, no answer',
  also: 'text information note paragraph picture instructions html',
});
