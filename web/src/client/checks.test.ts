import { describe, expect, it } from 'vitest';
import { fault } from './checks';
import type { Question } from './queries';

function question(part: Partial<Question>): Question {
  return {
    key: 'q',
    number: 1,
    type: 'short-text',
    wording: 'Q',
    hint: '',
    example: '',
    required: false,
    options: [],
    maxLength: 20,
    maxFiles: 0,
    maxBytes: 0,
    min: '',
    max: '',
    half: false,
    parameter: '',
    showIf: null,
    requiredIf: null,
    ...part,
  };
}

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
  ])('%o with “%s”', (part, text, message) => expect(fault(question(part), { q: text }, 0)).toBe(message));

  it('wants a file only where one is needed', () => {
    expect(fault(question({ type: 'files', required: true }), {}, 0)).toBe('Add at least one file.');
    expect(fault(question({ type: 'files', required: true }), {}, 1)).toBeNull();
    expect(fault(question({ type: 'files' }), {}, 0)).toBeNull();
  });
});
