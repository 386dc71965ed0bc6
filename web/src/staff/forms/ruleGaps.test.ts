import { describe, expect, it } from 'vitest';
import type { Schema } from '../../shared/api';
import type { Condition } from '../../shared/condition';
import { complete } from './design';
import { ruleGaps } from './ruleGaps';

const definition = complete({
  title: 'Inquiry',
  pages: [
    {
      key: 'a',
      title: 'You',
      next: 'On',
      questions: [
        { key: 'place', type: 'short-text', wording: 'Where?' },
        {
          key: 'service',
          type: 'one-of',
          wording: 'What should we do?',
          options: [
            { value: 'tune', label: 'Tune it' },
            { value: 'repair', label: 'Repair it' },
          ],
        },
      ],
    },
  ],
});

const rule = (condition: Condition, forms = ['inquiry'], enabled = true) => ({
  id: 'r1',
  name: 'Stairs',
  enabled,
  forms,
  if: condition as unknown as Schema<'HandlingRule'>['if'],
});
const words = (...of: Parameters<typeof rule>) =>
  ruleGaps([rule(...of)], 'inquiry', definition).map((gap) => gap.words);

describe('rules that would ask in vain', () => {
  it('names one that asks about a question that is gone', () => {
    expect(words({ not: { question: 'stairs', op: 'is-blank' } })).toEqual([
      'The rule “Stairs” asks about a question that is not here any more',
    ]);
  });

  it('names one that asks about a choice that is gone', () => {
    const gone = ['The rule “Stairs” asks about a choice of “What should we do?” that is not here any more'];
    expect(words({ any: [{ question: 'service', op: 'is', value: 'rent' }] })).toEqual(gone);
    expect(words({ question: 'service', op: 'is-one-of', values: ['tune', 'rent'] }, [])).toEqual(gone);
  });

  it('is silent about what is still asked, what is known without asking, other forms, and rules that are off', () => {
    expect(words({ question: 'service', op: 'is', value: 'tune' })).toEqual([]);
    expect(words({ question: 'place', op: 'has-word', value: 'steps' })).toEqual([]);
    expect(words({ question: '@client', op: 'is', value: 'new' })).toEqual([]);
    expect(words({ question: 'stairs', op: 'is-blank' }, ['inquiry', 'tuning'])).toEqual([]);
    expect(words({ question: 'stairs', op: 'is-blank' }, ['tuning'])).toEqual([]);
    expect(words({ question: 'stairs', op: 'is-blank' }, ['inquiry'], false)).toEqual([]);
  });
});
