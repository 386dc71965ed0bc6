import { describe, expect, it } from 'vitest';
import { asPublic, complete } from '../staff/forms/design';
import { isNeeded, listOf, shownPages, textOf } from './answers';

const form = asPublic(
  complete({
    pages: [
      {
        key: 'p',
        questions: [
          { key: 'a', type: 'yes-no', wording: 'A' },
          {
            key: 'b',
            type: 'any-of',
            wording: 'B',
            options: [
              { value: 'x', label: 'X' },
              { value: 'y', label: 'Y' },
            ],
            showIf: { question: 'a', op: 'is', value: 'yes' },
          },
          {
            key: 'c',
            type: 'short-text',
            wording: 'C',
            showIf: { question: 'b', op: 'is', value: 'x' },
            requiredIf: { question: 'a', op: 'is', value: 'yes' },
          },
        ],
      },
    ],
  }),
  '2026-11-25',
);
const shown = (answers: Parameters<typeof shownPages>[1]) =>
  shownPages(form, answers).flatMap((page) => page.questions.map((question) => question.key));

describe('what is asked', () => {
  it('follows the answers before', () => {
    expect(shown({})).toEqual(['a']);
    expect(shown({ a: 'yes' })).toEqual(['a', 'b']);
    expect(shown({ a: 'yes', b: ['y', 'x'] })).toEqual(['a', 'b', 'c']);
  });
  it('forgets answers to what is not asked any more', () => expect(shown({ a: 'no', b: ['x'] })).toEqual(['a']));
  it('takes a single ticked box for a list of one, and an unticked one for none', () => {
    expect(listOf({ b: 'x' }, 'b')).toEqual(['x']);
    expect(listOf({ b: false }, 'b')).toEqual([]);
    expect(textOf({ b: false }, 'b')).toBe('');
    expect(shown({ a: 'yes', b: 'x' })).toEqual(['a', 'b', 'c']);
  });
  it('is needed when its condition holds', () => {
    const question = form.pages[0]?.questions[2];
    expect(question && isNeeded(form, question, { a: 'yes' })).toBe(true);
    expect(question && isNeeded(form, question, { a: 'no' })).toBe(false);
  });
});
