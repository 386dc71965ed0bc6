import { asTime, timeFault } from '../bounds';
import { written } from './written';

export const time = written({
  designed: { words: 'a time', group: 'When', also: 'hour clock when o’clock', begins: true },
  input: { inputMode: 'numeric' },
  wrong: (_, text) => timeFault(text),
  understand: asTime,
});
