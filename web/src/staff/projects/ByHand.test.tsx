import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import { problem, showScreen, standInForTheBrowser, type Call } from '../testing/server.test-helper';
import { NewProjectScreen } from './NewProjectScreen';
import { ProjectScreen } from './ProjectScreen';
import { plainTask } from '../testing/task.test-helper';

const record = { kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' } as const;
const task = (position: number, waitsFor: number[] = []): Schema<'Task'> => ({
  ...plainTask,
  id: `t${position}`,
  position,
  name: `Task ${position}`,
  state: 'to-do',
  assignee: 'Nessa Quarle',
  assigneeId: 's1',
  due: '2026-11-27',
  late: false,
  waitsFor,
  project: record,
  version: 3,
  finishedAt: null,
  reason: '',
});
const project: Schema<'Project'> = {
  id: 'p1',
  number: 'P-0001',
  title: 'Repair',
  client: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
  stage: 'Visit',
  outcome: 'open',
  lead: 'Sorcha Vell',
  leadId: 's2',
  service: '',
  readyBy: null,
  tasksDone: 0,
  tasks: 2,
  openedOn: '2026-11-20',
  notes: '',
  budget: '',
  source: '',
  closeReason: '',
  closedOn: null,
  tags: [],
  custom: [{ key: 'loan', label: 'Loan', kind: 'choice', value: '', choices: ['upright', 'none'] }],
  wishes: [],
  asset: null,
  stages: [{ name: 'Visit', state: 'now' }],
  submission: null,
  version: 7,
};
const offers = {
  items: [],
  offers: {
    staff: [{ value: 's2', label: 'Sorcha Vell' }],
    services: [{ value: 'repair', label: 'Repair' }],
    sources: ['Recommended'],
    lostReasons: ['Too dear'],
  },
};

function show(replies: Parameters<typeof showScreen>[3] = {}) {
  return showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
    'GET /api/projects/p1': project,
    'GET /api/tasks': { items: [task(1), task(2, [1])], next: null },
    'GET /api/rules': offers,
    'GET /api/journal': { items: [], next: null },
    ...replies,
  });
}
const sent = (calls: Call[], method: string) => calls.findLast((call) => call.method === method);

describe('a project by hand', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('is closed as lost with a reason, and keeps what was typed where that is refused', async () => {
    let refuse = true;
    const calls = show({
      'POST /api/projects/p1/close': () =>
        refuse
          ? problem(422, 'Wrong', [{ path: 'reason', message: 'Say why.' }])
          : { ...project, outcome: 'lost', closeReason: 'Too dear', closedOn: '2026-11-25' },
    });
    fireEvent.click(await screen.findByText('Lost', { selector: '.block span' }));
    const reason = screen.getByLabelText<HTMLInputElement>('Because');
    await waitFor(() => expect(document.querySelector('datalist option')?.getAttribute('value')).toBe('Too dear'));
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Close as lost' }));
    expect(await screen.findByText('Say why.')).toBeTruthy();
    refuse = false;
    fireEvent.change(reason, { target: { value: 'Too dear' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Close as lost' }));
    expect(await screen.findByText(/closed as lost/)).toBeTruthy();
    expect(sent(calls, 'POST')?.body).toEqual({ version: 7, outcome: 'lost', reason: 'Too dear' });
  });

  it('gets a task under a name of its own, kept while it is typed', async () => {
    const calls = show({ 'POST /api/tasks': task(3) });
    fireEvent.click(await screen.findByRole('button', { name: 'Add task', hidden: false }));
    fireEvent.change(screen.getByLabelText('What is to be done'), { target: { value: 'Ring her' } });
    expect(localStorage.getItem('telamon.unsaved.project.p1.new-task')).toContain('Ring her');
    fireEvent.change(screen.getByLabelText('After'), { target: { value: '2' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Add task' }));
    expect(await screen.findByText(/Task 3 added/)).toBeTruthy();
    const add = calls.find((call) => call.method === 'POST');
    expect(add?.body).toEqual({ project: 'p1', name: 'Ring her', assignee: 's2', due: '', waitsFor: [2] });
    expect(add?.key).toMatch(/^[0-9a-f]{32}$/);
  });

  it('has its tasks edited, moved and removed', async () => {
    const calls = show({
      'PUT /api/tasks/t1': task(1),
      'DELETE /api/tasks/t1': () => new Response(null, { status: 204 }),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Due/ }));
    fireEvent.change(screen.getByLabelText('Due'), { target: { value: '2026-12-01' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Due' }));
    await waitFor(() => expect(sent(calls, 'PUT')?.body).toEqual({ version: 3, due: '2026-12-01', follow: true }));
    fireEvent.click(screen.getByText('Down'));
    await waitFor(() => expect(sent(calls, 'PUT')?.body).toEqual({ version: 3, position: 2 }));
    fireEvent.click(screen.getByText('Remove'));
    await waitFor(() => expect(sent(calls, 'DELETE')?.path).toBe('/api/tasks/t1?version=3'));
  });

  it('shows what another day takes along before it is saved, and what stays as somebody set it', async () => {
    const calls = show({
      'POST /api/tasks/t1/follows': {
        moved: [
          { number: 1, name: 'Task 1', was: '2026-11-27', due: '2026-12-01' },
          { number: 2, name: 'Task 2', was: '2026-11-30', due: '2026-12-02' },
        ],
        stays: [{ number: 3, name: 'Carry it', due: '2026-12-01', earliest: '2026-12-03' }],
      },
    });
    fireEvent.click((await screen.findAllByText('Task 1'))[0] as HTMLElement);
    fireEvent.click(await screen.findByRole('button', { name: /Due/ }));
    expect(calls.some((call) => call.path.endsWith('/follows'))).toBe(false);
    fireEvent.change(screen.getByLabelText('Due'), { target: { value: 'in 4 working days' } });
    expect((await screen.findByText(/would move with it/)).textContent).toContain('1 task would move with it:2 Task 2');
    expect(screen.getByText(/stays on/).textContent).toMatch(
      /3 Carry it stays on .*1 Dec.*, as somebody set it, though it cannot be done before .*3 Dec/,
    );
    expect(calls.find((call) => call.path.endsWith('/follows'))?.body).toEqual({ due: 'in 4 working days' });
    expect(calls.some((call) => call.method === 'PUT')).toBe(false);
  });

  it('has its tasks put in order by dragging, one put on another takes its place', async () => {
    const calls = show({ 'PUT /api/tasks/t2': task(2) });
    await screen.findAllByText('Task 2');
    const rows = [...document.querySelectorAll('li.task')];
    const carried = new Map<string, string>();
    const dataTransfer = {
      setData: (kind: string, text: string) => carried.set(kind, text),
      getData: (kind: string) => carried.get(kind) ?? '',
      effectAllowed: '',
    };
    const [first, second] = rows;
    if (!first || !second) throw new Error('two tasks are needed');
    fireEvent.dragStart(second, { dataTransfer });
    fireEvent.dragOver(first, { dataTransfer });
    expect(first.classList.contains('over')).toBe(true);
    fireEvent.drop(first, { dataTransfer });
    await waitFor(() => expect(sent(calls, 'PUT')?.body).toEqual({ version: 3, position: 1 }));
    // On itself, nothing.
    fireEvent.dragStart(first, { dataTransfer });
    fireEvent.drop(first, { dataTransfer });
    expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(1);
  });

  it('works on a task: steps, comments and minutes, and what another day would move', async () => {
    const steps = [
      { text: 'Bass', done: true },
      { text: 'Treble', done: false },
    ];
    const calls = show({
      'GET /api/tasks': {
        items: [
          {
            ...task(1),
            steps,
            words: 'Mind the lid.',
            doneBy: 'when the quote is accepted',
            approval: 'an owner',
            effort: 60,
          },
        ],
        next: null,
      },
      'POST /api/tasks/t1/steps': task(1),
      'POST /api/tasks/t1/notes': { items: [] },
      'GET /api/projects/p1/schedule': {
        tasks: [{ id: 't1', float: 0, onChain: true }],
        shortBy: 0,
        verdict: '',
        done: null,
        moved: [],
      },
      'GET /api/projects/p1/schedule?readyBy=2027-01-11': {
        tasks: [],
        shortBy: 0,
        verdict: '',
        done: null,
        moved: [{ number: 1, name: 'Task 1', was: '2026-11-27', due: '2027-01-08' }],
      },
    });
    expect(await screen.findByText('Mind the lid.')).toBeTruthy();
    expect(screen.getByText(/Needs the approval of an owner/)).toBeTruthy();
    expect(screen.getByText(/on the longest chain/)).toBeTruthy();
    fireEvent.click(screen.getByLabelText('Treble'));
    await waitFor(() => expect(sent(calls, 'POST')?.body).toEqual({ done: [0, 1] }));
    fireEvent.change(screen.getByLabelText('Comment'), { target: { value: ' Loose ' } });
    fireEvent.change(screen.getByLabelText('Minutes worked'), { target: { value: '15' } });
    expect(localStorage.getItem('telamon.unsaved.task.t1.note')).toContain('Loose');
    fireEvent.submit(screen.getByLabelText('Comment').closest('form') ?? document.body);
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/notes'))?.body).toEqual({ text: 'Loose', minutes: 15 }),
    );
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Comment').value).toBe(''));
    fireEvent.click(screen.getByRole('button', { name: /^Edit Ready by/ }));
    fireEvent.change(screen.getByLabelText('Ready by'), { target: { value: '2027-01-11' } });
    expect(await screen.findByText(/1 task would move with it/)).toBeTruthy();
  });

  it('shows what a checklist would add before it does, and how short the work is', async () => {
    const told = {
      added: [{ name: 'Reserve the van', due: '2026-12-01', assignee: 'Pim Tarrow' }],
      removed: ['Measure'],
      moved: [{ name: 'Task 1', was: '2026-11-27', due: '2026-11-30' }],
      turned: [
        { name: 'Task 2', was: 2, number: 3, waitsFor: [1, 2] },
        { name: 'Task 1', was: 1, number: 1, waitsFor: [] },
      ],
      late: '',
    };
    const calls = show({
      'GET /api/projects/p1': { ...project, readyBy: '2026-11-26' },
      'GET /api/projects/p1/schedule': {
        tasks: [],
        shortBy: 3,
        verdict: '3 working days short; the longest chain is: Task 1, Task 2',
        done: '2026-12-01',
        moved: [],
      },
      'GET /api/projects/p1/checklists': { items: [{ value: 'l1', label: 'Moving' }] },
      'POST /api/projects/p1/checklists/preview': told,
      'POST /api/projects/p1/checklists': told,
    });
    expect(await screen.findByText('3 working days short')).toBeTruthy();
    expect(screen.getByText(/The longest chain is: Task 1, Task 2/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Add checklist' }));
    expect(screen.queryByLabelText(/Add the checklist/)).toBeNull();
    await screen.findByText('Moving');
    fireEvent.change(screen.getByLabelText(/Add the checklist/), { target: { value: 'l1' } });
    expect(await screen.findByText('Reserve the van')).toBeTruthy();
    expect(screen.getByText('Measure')).toBeTruthy();
    expect(calls.filter((call) => call.path === '/api/projects/p1/checklists' && call.method === 'POST')).toHaveLength(
      0,
    );
    fireEvent.click(screen.getByText('Add', { selector: '.add-checklist button' }));
    expect(await screen.findByText('1 task added. U takes it back.')).toBeTruthy();
  });

  it('says what a stage needs, and lets an owner go on with a reason', async () => {
    const stages = [
      { name: 'Visit', state: 'now' },
      { name: 'Quote', state: 'later' },
    ];
    const calls = show({
      'GET /api/projects/p1': { ...project, stages },
      'POST /api/projects/p1/stage': () =>
        problem(422, 'Wrong', [
          { path: 'reason', message: 'Visit needs the agreement signed. An owner can go on with a reason.' },
        ]),
    });
    fireEvent.click(await screen.findByText('Quote', { selector: 'button *, button' }));
    expect(await screen.findByText(/needs the agreement signed/)).toBeTruthy();
    expect(sent(calls, 'POST')?.path).toBe('/api/projects/p1/stage');
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/needs the agreement signed/)).toBeNull();
  });

  it('has its custom fields filled in, offered though they are empty', async () => {
    const calls = show({ 'PUT /api/projects/p1': project });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Loan/ }));
    fireEvent.change(screen.getByLabelText('Loan'), { target: { value: 'upright' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Loan' }));
    await waitFor(() => expect(sent(calls, 'PUT')?.body).toEqual({ version: 7, custom: { loan: 'upright' } }));
  });

  it('is opened for a client that is found by typing', async () => {
    const calls = showScreen('/projects/new', '/projects/new', <NewProjectScreen />, {
      'GET /api/rules': offers,
      'GET /api/clients': {
        items: [
          { id: 'c1', name: 'Orla Fennick', email: null, phone: null, locality: '', since: '2026-01-01', projects: 0 },
        ],
        next: null,
        total: 1,
      },
      'GET /api/clients/c1': { id: 'c1', name: 'Orla Fennick', assets: [] },
      'POST /api/projects': { ...project, number: 'P-0009' },
    });
    fireEvent.change(screen.getByLabelText('For whom'), { target: { value: 'orla' } });
    fireEvent.click(await screen.findByRole('option', { name: /Orla Fennick/ }));
    fireEvent.change(await screen.findByLabelText('Service'), { target: { value: 'repair' } });
    fireEvent.click(screen.getByText('Open it'));
    expect(await screen.findByText(/P-0009 is open/)).toBeTruthy();
    expect(sent(calls, 'POST')?.body).toMatchObject({ client: 'c1', service: 'repair' });
  });
});
