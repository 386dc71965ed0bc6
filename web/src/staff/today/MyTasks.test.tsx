import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { plainTask } from '../testing/task.test-helper';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { groupsOf } from './groups';
import { MyTasksScreen } from './MyTasksScreen';
import type { Task } from './queries';

const task = (id: string, name: string, part: Partial<Task> = {}): Task => ({
  ...plainTask,
  id,
  position: 1,
  name,
  state: 'to-do',
  assignee: 'Nessa Quarle',
  assigneeId: 's1',
  due: '2026-11-25',
  late: false,
  waitsFor: [],
  project: { kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' },
  version: 1,
  finishedAt: null,
  reason: '',
  ...part,
});
const tasks = [
  task('t1', 'Ring them', { due: '2026-11-20', late: true }),
  task('t2', 'Wait for strings', { due: '2026-11-24', late: true, state: 'waiting', waitsFor: [1] }),
  task('t3', 'Send the agreement'),
  task('t4', 'Tune', {
    due: '2026-11-27',
    steps: [
      { text: 'Pitch', done: true },
      { text: 'Date', done: false },
    ],
  }),
];
const show = (replies: Parameters<typeof showScreen>[3] = {}, at = '/tasks') =>
  showScreen(at, '/tasks', <MyTasksScreen />, {
    'GET /api/tasks': { items: tasks, next: null },
    'GET /api/today': { visits: [], now: '2026-11-25T10:42:00+00:00' },
    'GET /api/people/offers': { staff: [{ value: 's2', label: 'Pim Tarrow' }] },
    ...replies,
  });

describe('My tasks', () => {
  beforeEach(() => {
    standInForTheBrowser();
    Element.prototype.scrollIntoView = () => undefined;
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('stand in groups: late, today, each next day, and what waits last', () => {
    expect(groupsOf(tasks, 'day', '2026-11-25').map((group) => [group.name, group.tasks.length])).toEqual([
      ['Late', 1],
      ['Today', 1],
      ['Friday 27 November', 1],
      ['Waiting for others', 1],
    ]);
    expect(groupsOf(tasks, 'project', '2026-11-25')).toHaveLength(1);
    expect(groupsOf(tasks, 'person', '2026-11-25').map((group) => group.name)).toEqual(['Nessa Quarle']);
  });

  it('are asked for as the address says, and ticked where they stand', async () => {
    const calls = show({ 'POST /api/tasks/finish': { items: [] } });
    expect(await screen.findByText('1 of 2 steps', { exact: false })).toBeTruthy();
    expect(calls.find((call) => call.path.startsWith('/api/tasks?'))?.query.get('assignee')).toBe('s1');
    fireEvent.click(screen.getByLabelText('Ring them is done'));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ tasks: ['t1'] }));
  });

  it('are finished several at once, by keys alone', async () => {
    const calls = show({ 'POST /api/tasks/finish': { items: [] } });
    await screen.findByText('Ring them');
    for (const key of ['ArrowDown', ' ', 'ArrowDown', ' '])
      fireEvent.keyDown(window, { key, code: key === ' ' ? 'Space' : key });
    expect(await screen.findAllByText('chosen')).toHaveLength(2);
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.filter((call) => call.method === 'POST')).toHaveLength(1));
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ tasks: ['t1', 't3'] });
    expect(await screen.findByText('2 tasks done. U takes it back.')).toBeTruthy();
  });

  it('say so where one cannot be finished, and where there is none', async () => {
    show({ 'POST /api/tasks/finish': () => problem(403, 'This needs the approval of an owner.') });
    fireEvent.click(await screen.findByLabelText('Tune is done'));
    expect(await screen.findByText('This needs the approval of an owner.')).toBeTruthy();
    cleanup();
    show({ 'GET /api/tasks': { items: [], next: null } });
    expect(await screen.findByText('Nothing to do.')).toBeTruthy();
  });
});
