import { describe, expect, it } from 'vitest';
import { lanes, percent, shares } from './ruler';

describe('the day ruler', () => {
  it('runs from seven to nineteen', () => {
    expect(percent(7 * 60)).toBe(0);
    expect(percent(13 * 60)).toBe(50);
    expect(percent(19 * 60)).toBe(100);
  });
  it('keeps what came at night at its ends', () => {
    expect(shares(percent(3 * 60))).toBeGreaterThan(0);
    expect(shares(percent(23 * 60))).toBeLessThan(100);
  });
  it('puts overlapping visits into two lanes, in time order', () => {
    const placed = lanes([
      { name: 'c', from: 630, to: 700 },
      { name: 'a', from: 510, to: 600 },
      { name: 'b', from: 540, to: 630 },
    ]);
    expect(placed.map((one) => [one.name, one.lane])).toEqual([
      ['a', 0],
      ['b', 1],
      ['c', 0],
    ]);
  });
  it('counts what fits into neither', () => {
    const placed = lanes([
      { name: 'a', from: 510, to: 700 },
      { name: 'b', from: 520, to: 700 },
      { name: 'c', from: 530, to: 600 },
      { name: 'd', from: 540, to: 600 },
    ]);
    expect(placed.map((one) => [one.name, one.more])).toEqual([
      ['a', 0],
      ['b', 2],
    ]);
  });
  it('lets one begin as the other ends', () => {
    expect(
      lanes([
        { from: 510, to: 540 },
        { from: 540, to: 570 },
      ]).map((one) => one.lane),
    ).toEqual([0, 0]);
  });
});
