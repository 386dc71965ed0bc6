import { dayFault, withYear } from '../bounds';
import { asDay } from './days';
import { written } from './written';

export const day = written({
  designed: {
    words: 'a day',
    group: 'When',
    also: 'date calendar deadline birthday when',
    operators: asDay,
    bounded: true,
    begins: true,
    counts: 'days',
  },
  wrong: (question, text, at) => (at ? dayFault(question, text, at) : null),
  hasCalendar: true,
  understand: (text, at) => (at ? withYear(text, at) : text),
});
