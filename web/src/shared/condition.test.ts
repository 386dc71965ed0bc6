import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { holds, type Answer, type Condition } from './condition';
import type { DayOrder } from './days';

interface Case {
  condition: Condition;
  answers: Record<string, Answer>;
  order?: DayOrder;
  expected: boolean;
}

// The file that the server's evaluator is held to as well.
const file = JSON.parse(readFileSync(join(import.meta.dirname, '../../../tests/fixtures/conditions.json'), 'utf8')) as {
  today: string;
  cases: Case[];
};

describe('conditions', () => {
  it('have enough shared cases', () => expect(file.cases.length).toBeGreaterThanOrEqual(150));
  it.each(file.cases.map((one) => [JSON.stringify([one.condition, one.answers]), one] as const))('%s', (_, one) => {
    expect(holds(one.condition, { answers: one.answers, today: file.today, order: one.order ?? 'unstated' })).toBe(
      one.expected,
    );
  });
});
