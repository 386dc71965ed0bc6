import { describe, expect, it } from 'vitest';
import type { Courses } from './queries';
import { freeKey, inTime, moved, newStep, numbers, placeOf, stepName, stepWords } from './series';

const list = {
  templates: [{ value: 'first', label: 'First answer' }],
  pages: [{ value: 'visit', label: 'A visit' }],
  forms: [{ value: 'stairs', label: 'Stairs and floors' }],
  stages: [{ value: 'Visit', label: 'Visit' }],
};
const courses: Courses = {
  main: [
    { key: 'send-1', kind: 'send', what: 'first' },
    { key: 'wait-1', kind: 'wait', amount: 1, unit: 'working-days', at: '10:00' },
    { key: 'task-1', kind: 'task', what: 'Ring', who: 'lead', days: 0 },
  ],
  later: [{ key: 'go', kind: 'go-on', what: 'send-1' }],
};

describe('a series', () => {
  it('says its steps in words', () => {
    expect(courses.main?.map((step) => stepWords(step, list, courses))).toEqual([
      'First answer',
      '1 working day, then at 10:00',
      'give the task “Ring”',
    ]);
    expect(stepWords({ key: 'x', kind: 'go-on', what: 'send-1' }, list, courses)).toBe('go on with “First answer”');
    expect(stepWords({ key: 'x', kind: 'go-on', what: 'gone' }, list, courses)).toBe('go on with a step that is gone');
    expect(stepWords({ key: 'x', kind: 'send', what: 'gone' }, list, courses)).toBe('a template that is gone');
    expect(stepWords({ key: 'x', kind: 'wait', amount: 3, unit: 'hours', at: '' }, list, courses)).toBe('3 hours');
  });

  it('gives new steps a key that is free in every course', () => {
    expect(freeKey(courses, 'send')).toBe('send-2');
    expect(newStep('wait', courses, list)).toMatchObject({ key: 'wait-2', amount: 2, unit: 'days' });
    expect(newStep('go-on', courses, list).what).toBe('send-1');
    const times = newStep('times', courses, list);
    expect(stepWords(times, list, courses)).toBe('send the times of “A visit”');
    expect(stepWords({ ...times, what: 'gone' }, list, courses)).toContain('a page that is closed');
    const form = newStep('form', courses, list);
    expect(form.what).toBe('stairs');
    expect(stepWords(form, list, courses)).toBe('send the form “Stairs and floors”');
    expect([stepName(form, list), stepName(times, list)]).toEqual(['Stairs and floors', 'A visit']);
    expect(stepName({ ...form, what: 'gone' }, list)).toBe('gone');
    expect(stepWords({ ...form, what: 'gone' }, list, courses)).toContain('a form that is closed');
    expect(stepWords(newStep('quote', courses, list), list, courses)).toBe('send the quote that is drafted');
    expect(newStep('stop', courses, list)).toEqual({ key: 'stop-1', kind: 'stop' });
  });

  it('moves a step and numbers all but the waits', () => {
    expect(moved(courses.main ?? [], 2, 0).map((step) => step.key)).toEqual(['task-1', 'send-1', 'wait-1']);
    expect(moved(courses.main ?? [], 0, 2).map((step) => step.key)).toEqual(['wait-1', 'task-1', 'send-1']);
    expect([...numbers(courses)]).toEqual([
      ['send-1', 1],
      ['task-1', 2],
      ['go', 3],
    ]);
  });
});

describe('a step', () => {
  const steps = courses.main ?? [];
  const amounts = (all: typeof steps) => all.map((step) => step.amount);

  it('stands somewhere, or nowhere any more', () => {
    expect(placeOf(courses, 'task-1')).toEqual({ course: 'main', at: 2 });
    expect(placeOf(courses, 'go')).toEqual({ course: 'later', at: 0 });
    expect([placeOf(courses, 'gone'), placeOf(courses, null)]).toEqual([null, null]);
  });

  it('is later by a longer wait before it, and sooner by a shorter one, of one at the least', () => {
    expect(amounts(inTime(steps, 2, 1))).toEqual([undefined, 2, undefined]);
    expect(amounts(inTime(inTime(steps, 2, 1), 2, -1))).toEqual([undefined, 1, undefined]);
    expect(amounts(inTime(steps, 2, -1))).toEqual([undefined, 1, undefined]);
    expect(amounts(inTime(steps, 1, 1))).toEqual([undefined, 2, undefined]);
  });

  it('before the first wait has no time to move in', () => {
    expect(inTime(steps, 0, 1)).toEqual(steps);
  });
});
