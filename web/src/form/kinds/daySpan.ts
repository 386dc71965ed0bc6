import { readDays } from '../../shared/days';
import { dayFault, type At } from '../bounds';
import type { Question } from '../types';
import { asDay } from './days';
import { inParts } from './inParts';

function wrong(question: Question, part: (name: string) => string, at: At | undefined): string | null {
  if (!at) return null;
  const first = dayFault(question, part('from'), at);
  if (first) return `First day: ${first}`;
  const last = dayFault(question, part('to'), at);
  if (last) return `Last day: ${last}`;
  const [from] = readDays(part('from'), at.dayOrder);
  const to = readDays(part('to'), at.dayOrder).at(-1);
  return from !== undefined && to !== undefined && to < from ? 'The last day comes before the first.' : null;
}

export const daySpan = inParts({
  designed: {
    words: 'days from and to',
    group: 'When',
    also: 'dates range period from until weeks holiday when',
    operators: asDay,
    bounded: true,
  },
  parts: [
    { name: 'from', label: 'First day', input: { placeholder: 'for example 12 June 2027' }, needed: true },
    { name: 'to', label: 'Last day', needed: true },
  ],
  between: ' to ',
  wrong,
});
