import { expect, it } from 'vitest';
import type { Times } from './queries';
import { aheadWords, daysOf, hoursOf, lengthWords, nearestTo, openingsOf, whenWords } from './times';

const times: Times = {
  zone: 'Europe/Dublin',
  length: 60,
  step: 30,
  opens: '08:00',
  closes: '18:00',
  next: null,
  days: [
    { day: '2027-03-27', starts: [], full: [], closed: 'closed', clocks: 0 },
    { day: '2027-03-28', starts: [], full: [], closed: 'closed', clocks: 60 },
    {
      day: '2027-03-29',
      starts: ['2027-03-29T09:00:00+01:00', '2027-03-29T09:30:00+01:00', '2027-03-29T14:00:00+01:00'],
      full: [],
      closed: '',
      clocks: 0,
    },
  ],
};

it('shows every start at its true place, by the clock of the business', () => {
  const days = daysOf(times, 'Europe/Dublin');
  expect(days.map((day) => [day.weekday, day.starts.map((start) => start.label)])).toEqual([
    ['Saturday', []],
    ['Sunday', []],
    ['Monday', ['9:00', '9:30', '2:00']],
  ]);
  expect(days[1]?.clocks).toBe(60);
  expect(hoursOf(times, days, 'Europe/Dublin')).toEqual({ from: 8, to: 18 });
});

it('joins starts into openings into which a visit always fits', () => {
  const starts = daysOf(times, 'Europe/Dublin')[2]?.starts ?? [];
  expect(openingsOf(starts, 60)).toEqual([
    { from: 540, to: 630 },
    { from: 840, to: 900 },
  ]);
});

it('puts a time on the day on which it is where somebody looks', () => {
  // Nine in the morning in Dublin is still Sunday evening in Honolulu (IANA: UTC-10, no summer time).
  const days = daysOf(times, 'Pacific/Honolulu');
  expect(days.map((day) => [day.day, day.starts.map((start) => start.words)])).toEqual([
    ['2027-03-28', ['10:00 in the evening', '10:30 in the evening']],
    ['2027-03-29', ['3:00 in the morning']],
  ]);
  expect(aheadWords('Europe/Dublin', 'Pacific/Honolulu', '2027-03-29T09:00:00+01:00')).toBe('11 h ahead');
  expect(aheadWords('Europe/Dublin', 'Asia/Kolkata', '2027-03-29T09:00:00+01:00')).toBe('4.5 h behind');
  expect(aheadWords('Europe/Dublin', 'Europe/London', '2027-03-29T09:00:00+01:00')).toBe('');
});

it('names the nearest times to one that has gone', () => {
  expect(nearestTo('2027-03-29T09:30:00+01:00', times)).toEqual([
    '2027-03-29T09:00:00+01:00',
    '2027-03-29T14:00:00+01:00',
  ]);
});

it('says times and lengths as people do', () => {
  expect(whenWords('2027-03-29T11:30:00+01:00', 60, 'Europe/Dublin')).toBe(
    'Monday 29 March, 11:30 to 12:30 in the morning',
  );
  expect([20, 60, 90, 120, 75].map(lengthWords)).toEqual(['20 min', '1 hour', '1½ hours', '2 hours', '1 h 15']);
});
