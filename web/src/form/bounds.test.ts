import { describe, expect, it } from 'vitest';
import { asTime, dayFault, numberFault, withYear } from './bounds';
import { question } from './testing/question.test-helper';

const at = { today: '2026-11-25', dayOrder: 'day-first' as const };

describe('bounds on the page where they are asked', () => {
  it('are of the day at the business', () => {
    const day = question({ key: 'd', type: 'day', min: 'today+1', max: '2027-01-31' });
    expect(dayFault(day, '2026-11-25', at)).toBe('That is too early. Choose 26 November 2026 or later.');
    expect(dayFault(day, '26 November 2026', at)).toBeNull();
    expect(dayFault(day, '1 February 2027', at)).toBe('That is too late. Choose 31 January 2027 or earlier.');
    expect(dayFault(day, '31/02/2027', at)).toBe('There is no such day. Write it like 12 June 2027 or 12/06/2027.');
    expect(dayFault(day, '13/31/2027', { ...at, dayOrder: 'month-first' })).toMatch(/or 06\/12\/2027\.$/);
    expect(dayFault(question({ key: 'd', type: 'day' }), '24/11/2026', at)).toMatch(/has passed/);
  });
  it('are left to the server for a day in words', () => {
    const day = question({ key: 'd', type: 'day' });
    for (const words of ['19 Dec', 'in three weeks', 'early May', '12/6', '12.6.27'])
      expect(dayFault(day, words, at)).toBeNull();
    expect(dayFault(day, '12/45/2027', at)).toMatch(/no such day/);
  });
  it('are of a number', () => {
    const number = question({ key: 'n', type: 'number', min: '0', max: '40' });
    expect(numberFault(number, '-1')).toBe('Write 0 or more.');
    expect(numberFault(number, '41')).toBe('Write 40 or less.');
    expect(numberFault(number, '40')).toBeNull();
    expect(numberFault(number, 'about 50')).toBeNull();
  });
});

describe('what people write', () => {
  it('is the next such day where no year is said', () => {
    expect(withYear('12/6', at)).toBe('12 June 2027');
    expect(withYear('26.11', at)).toBe('26 November 2026');
    expect(withYear('24 November', at)).toBe('24 November 2027');
    expect(withYear('12/6', { ...at, dayOrder: 'month-first' })).toBe('6 December 2026');
    expect(withYear('12/6', { ...at, dayOrder: 'unstated' })).toBe('12/6');
    expect(withYear('soon', at)).toBe('soon');
    expect(withYear('29 February', at)).toBe('29 February');
  });
  it('is a time of day', () => {
    const times = ['2pm', '2.30 pm', '12am', '12 pm', '14:30', '9:05', '14h', '7', 'noon', '25:00', '13pm'];
    expect(times.map(asTime)).toEqual([
      '14:00',
      '14:30',
      '00:00',
      '12:00',
      '14:30',
      '09:05',
      '14:00',
      '7',
      'noon',
      '25:00',
      '13pm',
    ]);
  });
});
