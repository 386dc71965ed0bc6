import { describe, expect, it } from 'vitest';
import { threads } from './threads';

describe('threads between tasks', () => {
  it('lead from each task to those that wait for it', () => {
    const laid = threads(
      [
        { number: 1, after: [] },
        { number: 2, after: [1] },
        { number: 3, after: [1, 2] },
      ],
      2,
    );
    expect(laid.map(({ from, to, chosen }) => [from, to, chosen])).toEqual([
      [0, 1, true],
      [0, 2, false],
      [1, 2, true],
    ]);
  });
  it('share a track only where they do not overlap', () => {
    const laid = threads(
      [
        { number: 1, after: [] },
        { number: 2, after: [1] },
        { number: 3, after: [1] },
        { number: 4, after: [2] },
        { number: 5, after: [4] },
      ],
      1,
    );
    for (const a of laid) {
      for (const b of laid) {
        if (a !== b && a.track === b.track) expect(a.from >= b.to || b.from >= a.to).toBe(true);
      }
    }
  });
  it('leave out what waits for a task that is not there', () =>
    expect(threads([{ number: 1, after: [9] }], 1)).toEqual([]));
  it('are only the chosen task’s where there are many', () => {
    const many = Array.from({ length: 14 }, (_, i) => ({ number: i + 1, after: i === 0 ? [] : [1] }));
    expect(threads(many, 5)).toHaveLength(1);
    expect(threads(many, 1)).toHaveLength(3);
  });
});
