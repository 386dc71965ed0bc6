import { dayFault, timeFault } from '../bounds';
import { asDay } from './days';
import { inParts } from './inParts';

export const dayTime = inParts({
  designed: {
    words: 'a day and time',
    group: 'When',
    also: 'date datetime appointment when',
    operators: asDay,
    bounded: true,
  },
  parts: [
    { name: 'day', label: 'Day', input: { placeholder: 'for example 12 June 2027' }, needed: true },
    { name: 'time', label: 'Time', input: { inputMode: 'numeric', placeholder: '14:30' }, needed: true },
  ],
  wrong: (question, part, at) => (at && dayFault(question, part('day'), at)) ?? timeFault(part('time')),
});
