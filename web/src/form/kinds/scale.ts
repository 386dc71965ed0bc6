import { choice, steps } from './choice';
import { asNumber } from './figures';

export const scale = choice({
  designed: {
    words: 'scale 0 to 10',
    group: 'Choices',
    also: 'nps recommend score slider likert 0-10',
    operators: asNumber,
    begins: true,
    counts: 'amount',
  },
  offered: steps(0, 10),
  beside: true,
});
