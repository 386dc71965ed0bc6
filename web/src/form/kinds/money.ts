import { figures } from './figures';

export const money = figures(
  { words: 'a sum of money', also: 'price budget cost amount euro currency sum payment' },
  '120.00',
);
