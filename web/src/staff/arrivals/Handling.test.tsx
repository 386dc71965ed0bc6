import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, standInForTheBrowser } from '../testing/server.test-helper';

import { accepted, plan, pressMain, row, show, submission, waiting } from './arrived.test-helper';

describe('what is done with arrivals', () => {
  beforeEach(() => {
    standInForTheBrowser();
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('gives, puts off and notes by their keys', async () => {
    const rules = {
      items: [],
      offers: { staff: [{ value: 's1', label: 'Sorcha Vell' }], checklists: [], forms: [], questions: [], stages: [] },
    };
    const calls = show({
      ...waiting,
      'GET /api/rules': rules,
      'POST /api/submissions/several': { changes: ['c1'], kept: [] },
    });
    await screen.findByText('04/05/2027');
    const sent = () => calls.filter((call) => call.path === '/api/submissions/several').map((call) => call.body);
    fireEvent.keyDown(window, { key: 'c', code: 'KeyC' });
    fireEvent.click(await screen.findByRole('button', { name: /Sorcha Vell/ }));
    await waitFor(() => expect(sent()).toEqual([{ ids: ['a1'], act: 'assign', assignee: 's1' }]));
    await waitFor(() => expect(screen.queryByText(/Who decides on/)).toBeNull());
    fireEvent.keyDown(window, { key: 'h', code: 'KeyH' });
    expect(await screen.findByText('Remind me of Orla Fennick …')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Escape', code: 'Escape' });
    await waitFor(() => expect(screen.queryByText(/come back/)).toBeNull());
    fireEvent.keyDown(window, { key: 'b', code: 'KeyB' });
    const field = await screen.findByLabelText('Note');
    fireEvent.change(field, { target: { value: 'Rang twice.' } });
    fireEvent.keyDown(field, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(sent()[1]).toEqual({ ids: ['a1'], act: 'note', text: 'Rang twice.' }));
    expect(calls.some((call) => call.path.endsWith('/accept'))).toBe(false);
  });

  it('accepts those that are chosen, and says which were kept', async () => {
    const other = { ...row, id: 'a2', name: 'Tess Quill', toDecide: 0 };
    const calls = show({
      'GET /api/submissions': { items: [row, other], next: null, counts: { waiting: 2, owed: 0 } },
      'GET /api/submissions/a1': submission,
      'POST /api/submissions/several': {
        changes: ['c2'],
        kept: [
          {
            record: { kind: 'submission', id: 'a1', label: 'A-0001 Orla Fennick', path: '/arrivals/a1' },
            why: 'it needs a choice first',
          },
        ],
      },
    });
    await screen.findByText('04/05/2027');
    fireEvent.keyDown(window, { key: ' ', code: 'Space' });
    fireEvent.click(screen.getByRole('checkbox', { name: 'Choose Tess Quill' }));
    expect(screen.getByText('2 chosen')).toBeTruthy();
    expect(screen.getByText('Accept 2 plans')).toBeTruthy();
    pressMain();
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/submissions/several')?.body).toEqual({
        ids: ['a1', 'a2'],
        act: 'accept',
      }),
    );
    expect(await screen.findByText('1 of 2 accepted')).toBeTruthy();
    expect(screen.getByText(/it needs a choice first/)).toBeTruthy();
  });

  it('tells what an arrival counts, what was noted and who has it', async () => {
    show({
      ...waiting,
      'GET /api/submissions/a1': {
        ...submission,
        assignee: { id: 's1', name: 'Sorcha Vell' },
        priority: 7,
        points: [{ part: 'budget', question: 1, text: '500', points: 7 }],
        notes: [{ text: 'Rang, nobody there.', by: 'Nessa Quarle', at: '2026-11-25T10:00:00+00:00' }],
        cameAgain: [{ kind: 'submission', id: 'a9', label: 'A-0009 Orla Fennick', path: '/arrivals/a9' }],
      },
    });
    expect(await screen.findByText('Rang, nobody there.')).toBeTruthy();
    expect(screen.getByText('Sorcha Vell')).toBeTruthy();
    expect(screen.getByText(/Priority/).textContent).toContain('Priority 7: budget 71');
    expect(screen.getByText(/came again as A-0009/)).toBeTruthy();
  });

  it('says what has changed since a plan was looked at, when it is refused', async () => {
    const decided = { ...submission, plan: plan('2027-05-04') };
    const other = {
      ...decided,
      plan: {
        ...decided.plan,
        fingerprint: 'f2',
        lines: [
          {
            ...decided.plan.lines[0],
            parts: [{ text: 'Ready by another day', value: false, answer: null, record: null }],
          },
          {
            ...decided.plan.lines[0],
            key: 'tag',
            choice: null,
            parts: [{ text: 'Tag it', value: false, answer: null, record: null }],
          },
        ],
      },
    };
    let refused = false;
    show({
      ...waiting,
      'GET /api/submissions/a1': () => (refused ? other : decided),
      'POST /api/submissions/a1/accept': () => {
        refused = true;
        return problem(409, 'Something it rests on has changed since you opened it.');
      },
    });
    await screen.findByText('which day is meant?');
    pressMain();
    expect(await screen.findByText('now: Ready by another day')).toBeTruthy();
    expect(screen.getByText('new: Tag it')).toBeTruthy();
  });

  it('says what stays when a plan is taken back, and takes that back too', async () => {
    const undone = {
      change: 'x1',
      words: 'Took back: accepted the plan',
      undone: 3,
      kept: [
        { record: { kind: 'task', id: 't1', label: '1 First talk', path: null }, why: 'changed since by Nessa Quarle' },
        { record: { kind: 'message', id: 'm1', label: 'the mail' }, why: 'already sent; it cannot be recalled' },
      ],
    };
    const calls = show(
      {
        'GET /api/submissions': {
          items: [{ ...row, state: 'accepted', answered: true }],
          next: null,
          counts: { waiting: 0, owed: 0 },
        },
        'GET /api/submissions/a1': { ...submission, state: 'accepted', plan: null, answered: true },
        'POST /api/submissions/a1/undo': undone,
        'POST /api/changes/x1/undo': { ...undone, kept: [] },
      },
      '/arrivals/a1?state=accepted',
    );
    fireEvent.click(await screen.findByText('Take the plan back'));
    expect(await screen.findByText('1 First talk: changed since by Nessa Quarle')).toBeTruthy();
    fireEvent.click(screen.getByText('Take those back too'));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/changes/x1/undo')?.body).toEqual({ all: true, outside: true }),
    );
  });

  it('names the number of which one is a double', async () => {
    const calls = show({ ...waiting, 'POST /api/submissions/a1/set-aside': { ...row, state: 'set-aside' } });
    await screen.findByText('04/05/2027');
    fireEvent.keyDown(window, { key: 'a', code: 'KeyA' });
    fireEvent.change(await screen.findByLabelText(/A duplicate of which number/), { target: { value: ' A-0007 ' } });
    fireEvent.click(screen.getByText('A duplicate'));
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/set-aside'))?.body).toEqual({
        reason: 'duplicate',
        note: '',
        duplicateOf: 'A-0007',
      }),
    );
  });

  it('sets aside for a reason of the business’s own, with the note behind it', async () => {
    const calls = show({
      ...waiting,
      'GET /api/rules': { items: [], offers: { staff: [], asideReasons: ['Too far away'] } },
      'POST /api/submissions/a1/set-aside': { ...row, state: 'set-aside' },
    });
    await screen.findByText('04/05/2027');
    fireEvent.keyDown(window, { key: 'a', code: 'KeyA' });
    fireEvent.change(await screen.findByLabelText(/Note, if you like/), { target: { value: 'Kerry' } });
    fireEvent.click(await screen.findByText('Too far away'));
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/set-aside'))?.body).toEqual({
        reason: 'other',
        note: 'Too far away. Kerry',
      }),
    );
  });

  it('shows who still waits for an answer after a rule has accepted', async () => {
    const owed = { ...row, state: 'accepted' as const, toDecide: 0 };
    const calls = show({
      ...waiting,
      'GET /api/submissions': { items: [row], next: null, counts: { waiting: 1, owed: 1 } },
      'GET /api/submissions?state=owed': { items: [owed], next: null, counts: { waiting: 1, owed: 1 } },
      'GET /api/submissions/a1': { ...submission, state: 'accepted', plan: null, decidedAt: row.receivedAt },
      'POST /api/submissions/a1/answered': accepted,
    });
    fireEvent.click(await screen.findByText('Owed'));
    expect(await screen.findByText('not answered')).toBeTruthy();
    await screen.findByText('What was made');
    fireEvent.keyDown(window, { key: 'y', code: 'KeyY' });
    await waitFor(() => expect(calls.some((call) => call.path === '/api/submissions/a1/answered')).toBe(true));
    expect(await screen.findByText('You answered Orla Fennick')).toBeTruthy();
  });

  it('takes up the one that is open, whatever else is chosen, and says when that fails', async () => {
    const other = { ...row, id: 'a2', name: 'Tess Quill' };
    const calls = show({
      'GET /api/submissions': { items: [row, other], next: null, counts: { waiting: 2, owed: 0 } },
      'GET /api/submissions/a1': { ...submission, putOff: true, remindAt: '2026-11-26T09:00:00+00:00' },
      'POST /api/submissions/several': () => problem(500, 'Something broke here.'),
    });
    fireEvent.click(await screen.findByRole('checkbox', { name: 'Choose Tess Quill' }));
    fireEvent.click(await screen.findByText('take it up now'));
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/submissions/several')?.body).toEqual({
        ids: ['a1'],
        act: 'remind',
        remindAt: '',
      }),
    );
    expect(await screen.findByText('Something broke here.')).toBeTruthy();
  });
});
