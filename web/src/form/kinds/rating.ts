import { choice, steps } from './choice';
import { asNumber } from './figures';

export const rating = choice({
  designed: {
    words: 'rating 1 to 5',
    group: 'Choices',
    also: 'stars score satisfaction review likert',
    operators: asNumber,
    begins: true,
    counts: 'amount',
  },
  offered: steps(1, 5),
  beside: true,
});
