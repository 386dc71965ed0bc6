import { describe, expect, it } from 'vitest';
import { complete } from '../staff/definition/design';
import { asPublic } from '../staff/definition/asPublic';
import { answerText, besideOthers, collected, given, isNeeded, shownPages } from './answers';
import { listOf, textOf } from './held';
import type { Answers, Question } from './types';
import { question } from './testing/question.test-helper';

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

const table = question({
  key: 'q',
  type: 'lines',
  lines: [
    question({ key: 'make', type: 'short-text', wording: 'Make' }),
    question({ key: 'n', type: 'number', wording: 'Number' }),
  ],
});

describe('an answer', () => {
  it.each<[string, Question, Answers[string], unknown, string]>([
    ['text', question({ key: 'q', type: 'short-text' }), ' Pell ', ' Pell ', ' Pell '],
    ['a blank', question({ key: 'q', type: 'short-text' }), '  ', null, ''],
    [
      'a name',
      question({ key: 'q', type: 'name-parts' }),
      { given: 'Orla', family: 'Fennick' },
      { given: 'Orla', family: 'Fennick' },
      'Orla Fennick',
    ],
    ['no name', question({ key: 'q', type: 'name-parts' }), { given: ' ', family: '' }, null, ''],
    [
      'a span',
      question({ key: 'q', type: 'day-span' }),
      { from: '1 May 2027', to: '3 May 2027' },
      { from: '1 May 2027', to: '3 May 2027' },
      '1 May 2027 to 3 May 2027',
    ],
    [
      'an unsigned signature',
      question({ key: 'q', type: 'signature' }),
      { name: '', how: 'typed', image: '' },
      null,
      '',
    ],
    [
      'a signature',
      question({ key: 'q', type: 'signature' }),
      { name: 'Orla', how: 'typed' },
      { name: 'Orla', how: 'typed', image: '' },
      'Signed by Orla, by typing the name',
    ],
    [
      'lines, the empty ones left out',
      table,
      [{ make: 'Pell', n: '' }, { make: '' }, { make: 'Thrane', n: '7' }],
      [{ make: 'Pell' }, { make: 'Thrane', n: '7' }],
      'Make: Pell\nMake: Thrane, Number: 7',
    ],
    ['yes', question({ key: 'q', type: 'yes-no' }), 'yes', 'yes', 'Yes'],
    ['consent not given', question({ key: 'q', type: 'consent' }), false, null, ''],
  ])('%s', (_, asked, held, sent, text) => {
    expect(given(asked, { q: held })).toEqual(sent);
    expect(answerText(asked, given(asked, { q: held }))).toBe(text);
  });

  it('is collected with the files that came, and never for what only tells', () => {
    const asked = [
      question({ key: 'a', type: 'files' }),
      question({ key: 'b', type: 'section' }),
      question({ key: 'c', type: 'short-text' }),
    ];
    expect(collected(asked, { b: 'x', c: 'y' }, { a: [{ id: 'u1', name: '', size: 1, type: '' }] })).toEqual({
      a: ['u1'],
      c: 'y',
    });
  });
});

describe('questions on one line', () => {
  it('stand beside one another while there is room', () => {
    const q = (key: string, part: Partial<Question>) => question({ key, type: 'short-text', ...part });
    const line = [
      q('a', { half: true }),
      q('b', { half: true }),
      q('c', { half: true }),
      q('d', {}),
      q('e', { third: true }),
      q('f', { third: true }),
      q('g', { third: true }),
      q('h', { third: true }),
    ];
    expect([...besideOthers(line)]).toEqual(['b', 'f', 'g']);
  });
});
