import { choice } from './choice';

export const oneOf = choice({
  designed: {
    words: 'one of several',
    group: 'Choices',
    also: 'choice choose select dropdown list radio options single pick',
    begins: true,
    offers: true,
    counts: 'choice',
  },
  offered: (question) => question.options ?? [],
});
