import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { ArrivalsScreen } from './ArrivalsScreen';
import type { Plan, Submission, SubmissionRow } from './queries';

const row: SubmissionRow = {
  id: 'a1',
  number: 'A-0001',
  name: 'Orla Fennick',
  form: { slug: 'inquiry', title: 'Piano inquiry' },
  state: 'waiting',
  receivedAt: '2026-11-25T09:24:00+00:00',
  unfinished: false,
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

function plan(chosen: string | null): Plan {
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

const nothing: Submission['decided'] = {
  version: 0,
  by: '',
  at: '',
  choices: {},
  answers: {},
  dropped: [],
  edits: {},
  added: [],
};

const submission: Submission = {
  ...row,
  decided: nothing,
  others: [],
  channel: 'page',
  origin: { version: 1, page: '', campaign: {}, networkAddress: '', beganAt: null },
  continues: null,
  continuedBy: null,
  answers: [{ key: 'wanted_by', number: 1, wording: 'By when?', type: 'day', text: '04/05/2027', files: [] }],
  plan: plan(null),
  made: [],
  decidedBy: null,
  decidedAt: null,
  holdSeconds: 30,
  sameAs: null,
  cameAgain: [],
  notes: [],
  points: [],
  answeredBy: null,
};

const waiting = {
  'GET /api/submissions': { items: [row], next: null, counts: { waiting: 1, owed: 0 } },
  'GET /api/submissions/a1': submission,
};
const accepted = { change: { id: 'c1', words: 'accepted', at: '2026-11-25T10:42:00+00:00', record: null }, made: [] };

function show(replies: Parameters<typeof showScreen>[3], path = '/arrivals') {
  return showScreen(path, '/arrivals/:id?', <ArrivalsScreen />, replies);
}

const pressMain = () => fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });

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
    fireEvent.change(screen.getByLabelText('Note in the project'), { target: { value: 'The dog bites.' } });
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
    await screen.findByText(/When does Orla Fennick come back/);
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
    expect(await screen.findByText('When does Orla Fennick come back?')).toBeTruthy();
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
    fireEvent.keyDown(window, { key: 'x', code: 'KeyX' });
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
    expect(screen.getByText(/points:/).textContent).toContain('7 points: budget 71');
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
        { record: { kind: 'message', id: 'm1', label: 'the mail' }, why: 'already sent, and stays sent' },
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
      expect(calls.find((call) => call.path === '/api/changes/x1/undo')?.body).toEqual({ all: true }),
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
    expect(await screen.findByText('Orla Fennick answered')).toBeTruthy();
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
