import { describe, expect, it } from 'vitest';
import { beside, lanes, percent, shares, stretch } from './ruler';

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

describe('a stretch of the day', () => {
  it('stands at its true place', () => {
    expect(stretch(13 * 60, 14 * 60 + 30)).toEqual({ left: '50%', width: '12.5%' });
  });
  it('is not lost, nor drawn over what stands beside the ruler, where it lies outside its hours', () => {
    for (const [from, to] of [
      [3, 4],
      [6, 8],
      [18, 22],
      [20, 21],
    ] as const) {
      const { left, width } = stretch(from * 60, to * 60);
      expect(Number.parseFloat(left)).toBeGreaterThanOrEqual(0);
      expect(Number.parseFloat(width)).toBeGreaterThanOrEqual(1.5);
      expect(Number.parseFloat(left) + Number.parseFloat(width)).toBeLessThanOrEqual(100);
    }
    expect(beside(3 * 60, 4 * 60)).toEqual({ left: '0%', width: '0%' });
  });
});
