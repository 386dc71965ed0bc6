import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, standInForTheBrowser } from '../testing/server.test-helper';
import type { Submission } from './queries';

import { accepted, nothing, plan, pressMain, row, show, submission, waiting } from './arrived.test-helper';

describe('Arrivals', () => {
  beforeEach(() => {
    standInForTheBrowser();
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('opens the first arrival, with its sheet and its plan', async () => {
    show(waiting);
    expect(await screen.findByText('04/05/2027')).toBeTruthy();
    expect(screen.getByText('42 min left')).toBeTruthy();
    expect(screen.getByText('1 to decide')).toBeTruthy();
    expect(screen.getByText('This morning')).toBeTruthy();
    expect(screen.getByText('which day is meant?')).toBeTruthy();
  });

  it('says what became of each, and how much its answers count', async () => {
    const at = '2026-12-03T10:00:00+00:00';
    const is = (id: string, name: string, rest: object) => ({ ...row, id, name, toDecide: 0, ...rest });
    show({
      ...waiting,
      'GET /api/submissions': {
        items: [
          is('a1', 'Ada', { visit: { state: 'booked', startsAt: at }, priority: 7 }),
          is('a2', 'Bo', { unfinished: true }),
          is('a3', 'Cy', { state: 'set-aside', aside: { reason: 'sent-away', note: '' } }),
          is('a4', 'Di', { state: 'accepted', answered: true, visit: { state: 'missed', startsAt: at } }),
          is('a5', 'Ed', { state: 'accepted', answered: true }),
        ],
        next: null,
        counts: { waiting: 5, owed: 0 },
      },
    });
    const said = async (name: string) => (await screen.findByText(name)).closest('.arrival')?.textContent ?? '';
    expect(await said('Ada')).toMatch(/booked 3 Dec.*7 pts/);
    expect(await said('Bo')).toContain('did not finish');
    expect(await said('Bo')).not.toContain(' pt');
    expect(await said('Cy')).toContain('sent away politely');
    expect(await said('Di')).toContain('missed 3 Dec');
    expect(await said('Ed')).toContain('accepted');
  });

  it('says when everything is answered', async () => {
    show({ 'GET /api/submissions': { items: [], next: null, counts: { waiting: 0, owed: 0 } } });
    expect(await screen.findByText('All arrivals are answered.')).toBeTruthy();
  });

  it('says when the list could not be loaded, and tries again', async () => {
    let times = 0;
    show({
      'GET /api/submissions': () =>
        times++ === 0
          ? problem(503, 'The database does not answer.')
          : { items: [], next: null, counts: { waiting: 0, owed: 0 } },
    });
    expect(await screen.findByText('The database does not answer.')).toBeTruthy();
    fireEvent.click(screen.getByText('Try again'));
    expect(await screen.findByText('All arrivals are answered.')).toBeTruthy();
  });

  it('does not accept while a choice is open, and leads there', async () => {
    const calls = show(waiting);
    await screen.findByText('which day is meant?');
    pressMain();
    await waitFor(() => expect(document.activeElement?.textContent).toContain('Mon 5 April'));
    expect(calls.some((call) => call.path.endsWith('/accept'))).toBe(false);
  });

  const chosen: Submission = {
    ...submission,
    plan: plan('2027-05-04'),
    decided: { ...nothing, version: 1, choices: { ready_by: '2027-05-04' } },
  };

  it('keeps a choice as it is made, accepts what was looked at, and offers the way back', async () => {
    const calls = show({
      ...waiting,
      'PUT /api/submissions/a1/decisions': chosen,
      'POST /api/submissions/a1/accept': accepted,
      'POST /api/changes/c1/undo': { words: 'Took back', undone: 1, kept: [] },
    });
    await screen.findByText('which day is meant?');
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    await waitFor(() => expect(screen.queryByText('Decide')).toBeNull());
    expect(calls.find((call) => call.path.endsWith('/decisions'))?.body).toEqual({
      version: 0,
      choices: { ready_by: '2027-05-04' },
      answers: {},
      dropped: [],
      edits: {},
      added: [],
    });
    pressMain();
    expect(await screen.findByText(/Plan accepted for Orla Fennick/)).toBeTruthy();
    expect(calls.find((call) => call.path.endsWith('/accept'))?.body).toEqual({
      fingerprint: 'f1',
      decisionsVersion: 1,
    });
    fireEvent.click(screen.getByText('Undo', { selector: 'button' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/changes/c1/undo')).toBe(true));
  });

  it('says when the plan has changed', async () => {
    show({
      ...waiting,
      'GET /api/submissions/a1': chosen,
      'POST /api/submissions/a1/accept': () => problem(409, 'Something it rests on has changed.'),
    });
    await screen.findByText('which day is meant?');
    pressMain();
    expect(await screen.findByText('Something it rests on has changed.')).toBeTruthy();
  });

  it('says when a colleague decided meanwhile, and looks again', async () => {
    const calls = show({
      ...waiting,
      'PUT /api/submissions/a1/decisions': () => problem(409, 'Sorcha has changed this plan meanwhile.'),
    });
    await screen.findByText('which day is meant?');
    const looks = () => calls.filter((call) => call.path === '/api/submissions/a1').length;
    const before = looks();
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    expect(await screen.findByText('Sorcha has changed this plan meanwhile.')).toBeTruthy();
    await waitFor(() => expect(looks()).toBeGreaterThan(before));
  });

  it('leaves a line out, puts an answer right, and adds a note', async () => {
    const calls = show({ ...waiting, 'PUT /api/submissions/a1/decisions': submission });
    await screen.findByText('which day is meant?');
    const last = () => calls.filter((call) => call.method === 'PUT').at(-1)?.body;
    fireEvent.click(screen.getByRole('button', { name: /leave out/ }));
    await waitFor(() => expect(last()).toMatchObject({ dropped: ['ready_by'] }));
    fireEvent.click(screen.getByRole('button', { name: 'put right: By when?' }));
    fireEvent.change(screen.getByLabelText('put right: By when?'), { target: { value: '2027-05-04' } });
    fireEvent.click(screen.getByText('Use this'));
    await waitFor(() => expect(last()).toMatchObject({ answers: { wanted_by: '2027-05-04' } }));
    fireEvent.click(screen.getByText('a note'));
    fireEvent.change(await screen.findByLabelText('Note in the project'), { target: { value: 'The dog bites.' } });
    fireEvent.click(screen.getByText('Add', { selector: 'button' }));
    await waitFor(() =>
      expect(last()).toMatchObject({ added: [{ kind: 'note', values: { text: 'The dog bites.' } }] }),
    );
  });

  it('gives the main key to the editor that is open, and accepts only what was saved', async () => {
    const calls = show({ ...waiting, 'GET /api/submissions/a1': chosen, 'PUT /api/submissions/a1/decisions': chosen });
    fireEvent.click(await screen.findByRole('button', { name: 'put right: By when?' }));
    fireEvent.change(screen.getByLabelText('put right: By when?'), { target: { value: '21 February' } });
    // With the mouse, past the open editor: nothing is accepted.
    fireEvent.click(screen.getByRole('button', { name: /Accept plan/ }));
    expect(await screen.findByText(/An edit is open/)).toBeTruthy();
    pressMain();
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        answers: { wanted_by: '21 February' },
      }),
    );
    expect(calls.some((call) => call.path.endsWith('/accept'))).toBe(false);
  });

  it('keeps what is typed into an answer when one goes away and comes back', async () => {
    show(waiting);
    fireEvent.click(await screen.findByRole('button', { name: 'put right: By when?' }));
    fireEvent.change(screen.getByLabelText('put right: By when?'), { target: { value: '21 Febr' } });
    cleanup();
    show(waiting);
    expect((await screen.findByLabelText<HTMLInputElement>('put right: By when?')).value).toBe('21 Febr');
    fireEvent.keyDown(screen.getByLabelText('put right: By when?'), { key: 'Escape' });
    cleanup();
    show(waiting);
    await screen.findByText('which day is meant?');
    expect(screen.queryByLabelText<HTMLInputElement>('put right: By when?')?.tagName).toBe('BUTTON');
  });

  it('does one thing with a key: a panel has them to itself', async () => {
    const calls = show({ ...waiting, 'POST /api/submissions/several': { changes: ['c1'], kept: [] } });
    await screen.findByText('which day is meant?');
    fireEvent.keyDown(window, { key: 'h', code: 'KeyH' });
    await screen.findByText(/Remind me of Orla Fennick/);
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    await waitFor(() => expect(calls.some((call) => call.path === '/api/submissions/several')).toBe(true));
    expect(calls.some((call) => call.method === 'PUT')).toBe(false);
  });

  it('takes back a choice made on the screen before anything older', async () => {
    const calls = show({ ...waiting, 'PUT /api/submissions/a1/decisions': chosen });
    await screen.findByText('which day is meant?');
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    await screen.findByText(/a choice, in Orla Fennick/);
    fireEvent.keyDown(window, { key: 'u', code: 'KeyU' });
    await waitFor(() => expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(2));
    expect(calls.filter((call) => call.method === 'PUT')[1]?.body).toMatchObject({ choices: {} });
    expect(calls.some((call) => call.path.includes('/changes/') && call.path.endsWith('/undo'))).toBe(false);
  });

  it('says who else looks at it', async () => {
    show({ ...waiting, 'GET /api/submissions/a1': { ...submission, others: ['Sorcha Vell'] } });
    expect(await screen.findByText('Sorcha Vell')).toBeTruthy();
    expect(screen.getByText('looks at it too.', { exact: false })).toBeTruthy();
  });

  it('sets aside with a reason and a note, and not when it is left', async () => {
    const calls = show({ ...waiting, 'POST /api/submissions/a1/set-aside': { ...row, state: 'set-aside' } });
    await screen.findByText('which day is meant?');
    fireEvent.keyDown(window, { key: 'a', code: 'KeyA' });
    expect(await screen.findByText('Why is Orla Fennick set aside?')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Escape', code: 'Escape' });
    await waitFor(() => expect(screen.queryByText('Why is Orla Fennick set aside?')).toBeNull());
    fireEvent.keyDown(window, { key: 'a', code: 'KeyA' });
    fireEvent.change(await screen.findByLabelText(/Note/), { target: { value: 'twice this week' } });
    fireEvent.click(screen.getByText('Advertising'));
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/set-aside'))?.body).toEqual({
        reason: 'advertising',
        note: 'twice this week',
      }),
    );
  });

  it('shows what was made of an accepted one', async () => {
    const done: Submission = {
      ...submission,
      state: 'accepted',
      plan: null,
      made: [{ kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' }],
      decidedBy: 'Nessa Quarle',
      decidedAt: '2026-11-25T10:30:00+00:00',
    };
    show(
      {
        'GET /api/submissions': { items: [done], next: null, counts: { waiting: 0, owed: 0 } },
        'GET /api/submissions/a1': done,
      },
      '/arrivals/a1?state=accepted',
    );
    expect((await screen.findByRole('link', { name: 'P-0001 Repair' })).getAttribute('href')).toBe('/projects/p1');
    expect(screen.getByText('Take the plan back')).toBeTruthy();
  });

  it('stands one part at a time on a narrow screen', async () => {
    standInForTheBrowser(390);
    show(waiting);
    await waitFor(() =>
      expect(screen.getAllByRole('tab').map((stone) => stone.textContent)).toEqual(['List 1', 'Sheet 1', 'Plan 1']),
    );
    fireEvent.click(screen.getByRole('tab', { name: /Sheet/ }));
    expect(screen.getByRole('region', { name: 'Sheet' }).hidden).toBe(false);
    expect(screen.queryByRole('region', { name: 'List' })).toBeNull();
  });

  it('says that there is no such submission', async () => {
    show({ ...waiting, 'GET /api/submissions/zz': () => problem(404, 'There is no such submission.') }, '/arrivals/zz');
    expect(await screen.findByText('There is no such submission')).toBeTruthy();
  });
});
