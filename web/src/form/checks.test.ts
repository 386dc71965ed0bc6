import { describe, expect, it } from 'vitest';
import { fault, faultsOf } from './checks';
import type { Answers, Question } from './types';
import { question } from './testing/question.test-helper';

const kinded = (part: Partial<Question>) => question({ key: 'q', type: 'short-text', maxLength: 20, ...part });

describe('what can be said before sending', () => {
  it.each<[Partial<Question>, string, string | null]>([
    [{}, '', null],
    [{ required: true }, '  ', 'This is needed.'],
    [{ required: true, type: 'person-name' }, '', 'Tell us your name.'],
    [{ required: true, type: 'email' }, '', 'Tell us your email address, so that we can answer.'],
    [{ required: true, type: 'one-of' }, '', 'Choose one.'],
    [{ type: 'email' }, 'orla', 'An email address has an @ in it, like name@example.com.'],
    [{ type: 'email' }, 'orla@', 'Add what comes after the @, such as example.com.'],
    [{ type: 'email' }, 'orla@example', 'Add the ending, such as .com.'],
    [{ type: 'email' }, 'orla@example.com', null],
    [{ type: 'phone' }, 'call me', 'Use figures, like 020 914 3327.'],
    [{ type: 'phone' }, '+353 (20) 914-3327', null],
    [{ maxLength: 3 }, 'abcd', 'Shorten this to 3 characters. It has 4 now.'],
  ])('%o with “%s”', (part, text, message) => expect(fault(kinded(part), { q: text }, 0)).toBe(message));

  it('wants a file only where one is needed', () => {
    expect(fault(kinded({ type: 'files', required: true }), {}, 0)).toBe('Add at least one file.');
    expect(fault(kinded({ type: 'files', required: true }), {}, 1)).toBeNull();
    expect(fault(kinded({ type: 'files' }), {}, 0)).toBeNull();
  });

  it.each<[Question['type'], Answers, string | null]>([
    ['name-parts', { given: 'Orla', family: '' }, null],
    ['name-parts', { given: '', family: 'Fennick' }, 'Given name: this is needed too.'],
    ['name-parts', { given: '', family: ' ' }, 'Tell us your name.'],
    ['address-parts', { line: '7 Weir Cottages', locality: 'Marrowby' }, null],
    ['address-parts', { line: '7 Weir Cottages' }, 'Town: this is needed too.'],
    ['day-time', { day: '12 June 2027', time: '14:30' }, null],
    ['day-time', { day: '12 June 2027', time: '2 pm' }, 'Write the time like 14:30.'],
    ['day-span', { from: '', to: '' }, 'This is needed.'],
    ['day-span', { from: '12 June 2027', to: '' }, 'Last day: this is needed too.'],
    ['signature', { name: 'Orla', how: 'typed' }, null],
    ['signature', { name: 'Orla', how: 'drawn', image: 'u1' }, null],
    ['signature', { name: 'Orla', how: 'drawn', image: '' }, 'Draw your signature, or say that your typed name is it.'],
    ['signature', { name: '' }, 'Sign here: write your name, then draw or confirm it.'],
  ])('%s with %o', (type, answer, message) =>
    expect(fault(kinded({ type, required: true }), { q: answer }, 0)).toBe(message),
  );

  it('looks at a table line by line', () => {
    const table = kinded({
      type: 'lines',
      lines: [question({ key: 'make', type: 'short-text', required: true }), question({ key: 'keys', type: 'number' })],
    });
    expect(faultsOf(table, { q: [] }, 0, true)).toEqual([{ path: 'q', message: 'Add at least one line.' }]);
    expect(faultsOf(table, {}, 0, false)).toEqual([]);
    expect(faultsOf(table, { q: [{ make: 'Pell' }, { keys: 'many' }] }, 0, false)).toEqual([
      { path: 'q.1.make', message: 'This is needed.' },
      { path: 'q.1.keys', message: 'Write it in figures, like 12.' },
    ]);
  });

  it('wants at least as many letters as it says', () =>
    expect(fault(kinded({ minLength: 5 }), { q: 'four' }, 0)).toBe('Write at least 5 characters. It has 4 now.'));
});
