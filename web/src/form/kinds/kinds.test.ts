import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Answer } from '../../shared/condition';
import { question } from '../testing/question.test-helper';
import type { Answers, Question } from '../types';
import { kinds } from '.';

type Asked = Pick<Question, 'type'> & Partial<Question>;
interface Case {
  question: Asked;
  answer: Answer | null;
  fault: string | null;
  /** Whether only the server finds that: a day in words is read there. */
  byServer?: boolean;
  text: string;
}

/** What the server says of the same answers: the two are held together by one file. */
const cases = JSON.parse(
  readFileSync(join(import.meta.dirname, '../../../../tests/fixtures/answers.json'), 'utf8'),
) as Case[];
const at = { today: '2026-11-25', dayOrder: 'unstated' } as const;

function asked(part: Asked): Question {
  return question({ ...part, key: 'q', lines: (part.lines ?? []).map((column) => question(column)) });
}

describe('a kind of question says what the server says', () => {
  it.each(cases.map((one) => [one.question.type, JSON.stringify(one.answer), one] as const))(
    '%s, answered with %s',
    (type, _, { question: part, answer, fault, byServer, text }) => {
      const files = type === 'files' && Array.isArray(answer) ? answer.length : 0;
      const held = { files, needed: part.required ?? false, at };
      const answers = (answer === null ? {} : { q: answer }) as Answers;
      expect(kinds[type].faults(asked(part), answers, held).map((one) => one.message)).toEqual(
        fault && !byServer ? [fault] : [],
      );
      expect(answer === null ? '' : kinds[type].text(asked(part), answer).trim()).toBe(text);
    },
  );

  it('has a case for every kind', () =>
    expect(new Set(cases.map((one) => one.question.type))).toEqual(new Set(Object.keys(kinds))));
});

describe('what is sent', () => {
  it('has the path of a fault in a table', () => {
    const table = asked({
      type: 'lines',
      lines: [question({ key: 'make', type: 'short-text', required: true }), question({ key: 'keys', type: 'number' })],
    });
    const held = { files: 0, needed: false, at };
    expect(kinds.lines.faults(table, { q: [{ make: 'Pell' }, { keys: 'many' }] }, held)).toEqual([
      { path: 'q.1.make', message: 'This is needed.' },
      { path: 'q.1.keys', message: 'Write it in figures, like 12.' },
    ]);
  });
});
