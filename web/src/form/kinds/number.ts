import { figures } from './figures';

export const number = figures({ words: 'a number', also: 'integer count quantity amount how many age digits' }, '12');
