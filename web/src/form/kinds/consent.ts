import { choice } from './choice';

export const consent = choice({
  designed: {
    words: 'consent',
    group: 'Choices',
    also: 'agree terms privacy gdpr permission checkbox tick accept',
  },
  offered: (question) => [{ value: 'yes', label: question.wording }],
  told: (_, value) => (value === 'yes' ? 'Given' : value),
  missing: 'We need your consent for this.',
  many: true,
});
