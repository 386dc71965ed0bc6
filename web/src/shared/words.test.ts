import { describe, expect, it } from 'vitest';
import { count, fileSize } from './numbers';
import { clockTime, distance, longDay, shortDay, when } from './words';

describe('days and times in words', () => {
  it('shows times as they stand at the business, wherever the reader is', () => {
    expect(clockTime('2026-07-01T09:24:00+01:00')).toBe('09:24');
    expect(clockTime('2026-07-01T23:24:00-05:00')).toBe('23:24');
  });
  it.each([
    ['2026-11-25', 'Wed 25 November'],
    ['2027-06-12', 'Sat 12 June 2027'],
  ])('shortens %s to %s', (day, words) => expect(shortDay(day, '2026-11-25')).toBe(words));
  it.each([
    ['2026-11-25', 'today'],
    ['2026-11-26', 'tomorrow'],
    ['2026-11-24', 'yesterday'],
    ['2026-11-20', '5 days ago'],
    ['2027-01-05', 'in 41 days'],
    // The clocks of Dublin go on in between: still whole days.
    ['2027-03-29', 'in 124 days'],
  ])('measures %s as %s', (day, words) => expect(distance(day, '2026-11-25')).toBe(words));
  it('leaves the day out where it is today', () => {
    expect(when('2026-11-25T10:36:00+00:00', '2026-11-25')).toBe('10:36');
    expect(when('2026-11-23T10:36:00+00:00', '2026-11-25')).toBe('Mon 23 November, 10:36');
  });
  it('writes the whole day', () => expect(longDay('2026-03-24')).toBe('Tuesday 24 March'));
});

describe('numbers in words', () => {
  it('counts', () => {
    expect(count(1, 'piano')).toBe('1 piano');
    expect(count(0, 'piano')).toBe('0 pianos');
    expect(count(1200, 'entry', 'entries')).toBe('1,200 entries');
  });
  it.each([
    [512, '512 B'],
    [20_480, '20 kB'],
    [2_516_582, '2.4 MB'],
  ])('sizes %d as %s', (bytes, words) => expect(fileSize(bytes)).toBe(words));
});
