import { describe, expect, it } from 'vitest';
import { difference } from '../plan/difference';
import { groups } from './groups';
import type { SubmissionRow } from './queries';
import { span } from './ReplyStrip';

function row(name: string, dueAt: string, state: SubmissionRow['clock']['state'] = 'running'): SubmissionRow {
  return {
    id: name,
    number: 'A-0001',
    name,
    form: { slug: 'inquiry', title: 'Inquiry' },
    state: 'waiting',
    receivedAt: dueAt,
    unfinished: false,
    visit: null,
    toDecide: 0,
    clock: { promiseMinutes: 120, usedMinutes: 10, dueAt, state, words: '' },
    aside: null,
    answered: false,
    assignee: null,
    remindAt: null,
    putOff: false,
    priority: 0,
  };
}

describe('groups of arrivals', () => {
  it('puts them by when an answer is due', () => {
    const rows = [
      row('late', '2026-11-25T09:00:00+00:00', 'over'),
      row('soon', '2026-11-25T11:59:00+00:00'),
      row('noon', '2026-11-25T12:00:00+00:00'),
      row('night', '2026-11-25T17:00:00+00:00'),
      row('morrow', '2026-11-26T08:30:00+00:00'),
      row('monday', '2026-11-30T08:30:00+00:00'),
    ];
    expect(groups(rows, '2026-11-25').map((group) => [group.name, group.rows.map((one) => one.name)])).toEqual([
      ['Late', ['late']],
      ['This morning', ['soon']],
      ['This afternoon', ['noon', 'night']],
      ['Tomorrow', ['morrow']],
      ['Later', ['monday']],
    ]);
  });
  it('does not group what has been decided', () => {
    const rows = [
      { ...row('a', '2026-11-25T09:00:00+00:00'), state: 'accepted' as const },
      { ...row('b', '2026-11-01T09:00:00+00:00'), state: 'accepted' as const },
    ];
    expect(groups(rows, '2026-11-25')).toHaveLength(1);
  });
  it('has nothing for nothing', () => expect(groups([], '2026-11-25')).toEqual([]));
});

describe('what differs between two values', () => {
  it.each([
    ['+353 20 914 3327', '+353 20 914 3372', '27', '72'],
    ['7 Weir Cottages', '7 Weir Cottages', '', ''],
    ['Orla', 'Orlagh', '', 'gh'],
    ['aaa', 'aa', 'a', ''],
    ['', 'new', '', 'new'],
    // A letter and its accent are one, and so is a family of emoji.
    ['Órla 👩‍👩‍👧', 'Órla 👩‍👩‍👦', '👩‍👩‍👧', '👩‍👩‍👦'],
  ])('%s and %s', (here, there, middle, other) => {
    expect(difference(here, there).middle).toBe(middle);
    expect(difference(there, here).middle).toBe(other);
    const cut = difference(here, there);
    expect(cut.before + cut.middle + cut.after).toBe(here);
  });
});

describe('spans of minutes', () => {
  it.each([
    [0, '0 min'],
    [42, '42 min'],
    [60, '1 h'],
    [70, '1 h 10'],
    [125, '2 h 05'],
  ])('%d is %s', (minutes, words) => expect(span(minutes)).toBe(words));
});
