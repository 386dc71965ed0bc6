import { describe, expect, it } from 'vitest';
import { daysOf, daysSince, endOf, hasJoint, leftAt, line, lookBack, pins, posts, ticks, waits, xOf } from './profile';
import type { Step } from './queries';

const start = '2026-03-24T09:24:00+00:00';
const act = (key: string, at: string, course = 'main') => ({ key, at, course });

describe('the scale of an answer profile', () => {
  it('is 96 pixels a day for a week, then a joint, then far fewer', () => {
    expect([xOf(0), xOf(1), xOf(7)]).toEqual([30, 126, 702]);
    expect(xOf(8) - xOf(7)).toBeCloseTo(16 + 9.15);
    expect(xOf(30) - xOf(29)).toBeCloseTo(9.15);
    expect(xOf(-1)).toBe(30);
  });

  it('has its joint only where something lies beyond the week', () => {
    expect([hasJoint(3), hasJoint(7), hasJoint(14)]).toEqual([false, false, true]);
  });

  it('numbers the days of the first week and then the weeks', () => {
    expect(ticks(3.5)).toEqual([0, 1, 2, 3]);
    expect(ticks(37)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 14, 21, 28, 35]);
    expect(ticks(400).length).toBeLessThan(25);
  });

  it('counts days by the calendar, so that a change of clocks moves no post', () => {
    // Irish summer time begins on 29 March 2026 at 01:00 UTC (Directive 2000/84/EC).
    expect(daysSince('2026-03-28T10:00:00+00:00', '2026-03-29T10:00:00+01:00')).toBeCloseTo(23 / 24);
    expect(daysSince(start, '2026-03-26T09:24:00+00:00')).toBe(2);
  });
});

describe('posts', () => {
  it('stand where the dry run does something, and say how much room their label has', () => {
    const found = posts(
      [act('a', start), act('b', '2026-03-26T09:24:00+00:00'), act('', '2026-03-26T09:24:00+00:00')],
      start,
      400,
    );
    expect(found.map((post) => [post.keys, post.x, post.room])).toEqual([
      [['a'], 30, 222 - 30 - 8],
      [['b'], 222, 400 - 222 - 8],
    ]);
  });

  it('share a label where two things are done at once', () => {
    expect(posts([act('a', start), act('b', start)], start, 400).map((post) => post.keys)).toEqual([['a', 'b']]);
  });

  it('stand once where a series leads back to them, and not beyond two years', () => {
    const back = [act('a', start), act('a', '2026-04-24T09:24:00+00:00'), act('b', '2029-01-01T09:24:00+00:00')];
    expect(posts(back, start, 400).map((post) => post.keys)).toEqual([['a']]);
  });

  it('leave out what an answer would lead to', () => {
    expect(posts([act('a', start), act('c', start, 'yes')], start, 400)).toHaveLength(1);
  });

  it('leave a finger’s breadth after the last of them', () => {
    expect(endOf([act('a', start)], start)).toBe(1);
    expect(endOf([act('a', '2026-04-23T09:24:00+00:00')], start)).toBe(37);
    expect(endOf([act('a', '2026-03-31T09:24:00+00:00')], start)).toBe(14);
    expect(endOf([], start)).toBe(1);
    expect(endOf([act('a', '2999-01-01T09:24:00+00:00')], start)).toBe(737);
  });
});

describe('pins', () => {
  const at = (one: string, days: number) => ({ one, days });

  it('stand alone where there is room, and together where a finger could not tell them apart', () => {
    expect(pins([at('c', 3.1), at('a', 0), at('b', 3)], 10).map((group) => group.people)).toEqual([['a'], ['b', 'c']]);
    expect(pins([at('a', 8), at('b', 9), at('c', 10), at('d', 20)], 30).map((group) => group.people)).toEqual([
      ['a', 'b', 'c'],
      ['d'],
    ]);
  });

  it('are as wide as those who stand there', () => {
    expect(pins([at('a', 1), at('b', 1.1)], 10)[0]).toMatchObject({ from: xOf(1), to: xOf(1.1) });
  });

  it('leave out whoever stands beyond the scale', () => {
    expect(pins([at('a', 40)], 30)).toEqual([]);
  });
});

describe('the line', () => {
  const curve = {
    cases: 4,
    points: [
      { days: 1, left: 0.75 },
      { days: 2, left: 0.5 },
      { days: 90, left: 0.25 },
    ],
  };

  it('falls where somebody answered, and ends where the scale does', () => {
    expect(line(curve, 3, 80)).toBe('M30 0.0H126.0V20.0H222.0V40.0H318.0');
    expect(line({ cases: 0, points: [] }, 1, 80)).toBe('M30 0.0H126.0');
  });

  it('says what is left on a day', () => {
    expect([0, 1, 1.5, 2, 100].map((day) => leftAt(curve, day))).toEqual([1, 0.75, 0.75, 0.5, 0.25]);
  });
});

describe('a look back at waits', () => {
  const curve = {
    cases: 80,
    points: [
      { days: 1, left: 0.8 },
      { days: 2, left: 0.65 },
    ],
  };

  it('counts who would still get it and who had answered', () => {
    expect([0.5, 1, 1.5, 2, 9].map((days) => lookBack(curve, days))).toEqual([
      { gets: 80, answered: 0 },
      { gets: 64, answered: 16 },
      { gets: 64, answered: 16 },
      { gets: 52, answered: 28 },
      { gets: 52, answered: 28 },
    ]);
  });

  it('takes hours, days and working days for about as long as they are', () => {
    expect([daysOf(36, 'hours'), daysOf(3, 'days'), daysOf(5, 'working-days')]).toEqual([1.5, 3, 7]);
  });
});

describe('waits', () => {
  const wait = (key: string): Step => ({ key, kind: 'wait', amount: 1, unit: 'days' });
  const send = (key: string): Step => ({ key, kind: 'send', what: key });
  const at = (key: string, x: number) => ({ keys: [key], x, days: 0, room: 0 });

  it('are measured from post to post', () => {
    expect(
      waits([send('a'), wait('w'), send('b')], [at('a', 30), at('b', 126)]).map((one) => [
        one.step.key,
        one.from,
        one.to,
      ]),
    ).toEqual([['w', 30, 126]]);
  });

  it('begin at the beginning where a follow-up begins with one, and two in a row are one', () => {
    expect(
      waits([wait('v'), wait('w'), send('a')], [at('a', 222)]).map((one) => [one.step.key, one.from, one.to]),
    ).toEqual([['v', 30, 222]]);
  });

  it('have no place after the last post', () => {
    expect(waits([send('a'), wait('w')], [at('a', 30)])).toEqual([]);
  });
});
