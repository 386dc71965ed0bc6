import { describe, expect, it } from 'vitest';
import { alike, readSpans, tellSpans } from './hours';

describe('opening hours', () => {
  it('are read however they are written, and told one way', () => {
    expect(tellSpans(readSpans('9-17') ?? [])).toBe('09:00 to 17:00');
    expect(tellSpans(readSpans('9.30 to 12, 13:15 until 18:00') ?? [])).toBe('09:30 to 12:00, 13:15 to 18:00');
    expect(tellSpans(readSpans('8 to 12 and 14 to 20') ?? [])).toBe('08:00 to 12:00, 14:00 to 20:00');
    expect(readSpans(' closed ')).toEqual([]);
    expect(readSpans('')).toEqual([]);
    expect(readSpans('mornings')).toBeNull();
    expect(readSpans('9 to 12, later')).toBeNull();
  });

  it('stand as one row where days that follow are alike', () => {
    const open = [{ from: '09:00', to: '17:00' }];
    const week = [1, 2, 3, 4, 5, 6, 7].map((day) => ({ day, spans: day === 3 || day > 5 ? [] : open }));
    expect(alike(week).map(({ first, last }) => [first, last])).toEqual([
      [1, 2],
      [3, 3],
      [4, 5],
      [6, 7],
    ]);
  });
});
