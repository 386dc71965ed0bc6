import { choice } from './choice';

export const yesNo = choice({
  designed: {
    words: 'yes or no',
    group: 'Choices',
    also: 'boolean choice true false switch toggle',
    begins: true,
    counts: 'choice',
  },
  offered: () => [
    { value: 'yes', label: 'Yes' },
    { value: 'no', label: 'No' },
  ],
  told: (_, value) => ({ yes: 'Yes', no: 'No' })[value] ?? value,
  beside: true,
});
