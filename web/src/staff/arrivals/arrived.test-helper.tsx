import { fireEvent } from '@testing-library/react';
import { showScreen } from '../testing/server.test-helper';
import { ArrivalsScreen } from './ArrivalsScreen';
import type { Plan, Submission, SubmissionRow } from './queries';

export const row: SubmissionRow = {
  id: 'a1',
  number: 'A-0001',
  name: 'Orla Fennick',
  form: { slug: 'inquiry', title: 'Piano inquiry' },
  state: 'waiting',
  receivedAt: '2026-11-25T09:24:00+00:00',
  unfinished: false,
  visit: null,
  toDecide: 1,
  clock: {
    promiseMinutes: 120,
    usedMinutes: 78,
    dueAt: '2026-11-25T11:24:00+00:00',
    state: 'running',
    words: '42 min left',
  },
  aside: null,
  answered: false,
  assignee: null,
  remindAt: null,
  putOff: false,
  priority: 0,
};

export function plan(chosen: string | null): Plan {
  return {
    fingerprint: 'f1',
    open: chosen === null ? 1 : 0,
    lines: [
      {
        number: 1,
        key: 'ready_by',
        group: 'Project',
        parts: [{ text: 'which day is meant?', value: true, answer: 1, record: null }],
        note: '',
        reason: '',
        leads: null,
        choice: {
          key: 'ready_by',
          open: chosen === null,
          chosen,
          options: [
            { value: '2027-04-05', hotkey: '1', label: 'Mon 5 April' },
            { value: '2027-05-04', hotkey: '2', label: 'Tue 4 May' },
          ],
        },
        dropped: false,
        amended: false,
        canDrop: true,
        fields: [],
        compared: [],
      },
    ],
  };
}

export const nothing: Submission['decided'] = {
  version: 0,
  by: '',
  at: '',
  choices: {},
  answers: {},
  dropped: [],
  edits: {},
  added: [],
};

export const submission: Submission = {
  ...row,
  decided: nothing,
  others: [],
  channel: 'page',
  origin: { version: 1, page: '', campaign: {}, networkAddress: '', beganAt: null },
  continues: null,
  continuedBy: null,
  answers: [
    {
      key: 'wanted_by',
      number: 1,
      wording: 'By when?',
      type: 'day',
      text: '04/05/2027',
      right: { given: '04/05/2027', offers: [], several: false, parts: [] },
      files: [],
    },
  ],
  plan: plan(null),
  made: [],
  decidedBy: null,
  decidedAt: null,
  holdSeconds: 30,
  sameAs: null,
  cameAgain: [],
  notes: [],
  points: [],
  earlier: [],
  answeredBy: null,
};

export const waiting = {
  'GET /api/submissions': { items: [row], next: null, counts: { waiting: 1, owed: 0 } },
  'GET /api/submissions/a1': submission,
};
export const accepted = {
  change: { id: 'c1', words: 'accepted', at: '2026-11-25T10:42:00+00:00', record: null },
  made: [],
};

export function show(replies: Parameters<typeof showScreen>[3], path = '/arrivals') {
  return showScreen(path, '/arrivals/:id?', <ArrivalsScreen />, replies);
}

export const pressMain = () => fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
