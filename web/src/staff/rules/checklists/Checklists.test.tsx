import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../../testing/server.test-helper';
import { list as rules } from '../rules.test-helper';
import { ChecklistsScreen } from './ChecklistsScreen';
import { leadsTo, moved, rowsOf } from './checklist';
import type { Item, KeptList, Tried } from './queries';

const item = (key: string, name: string, part: Partial<Item> = {}): Item => ({
  key,
  name,
  group: '',
  words: '',
  doer: 'coordinator',
  among: [],
  takes: 1,
  effort: 0,
  due: null,
  waitsFor: [],
  if: null,
  doneBy: null,
  approval: '',
  shown: false,
  steps: [],
  ...part,
});
const kept = (id: string, key: string, name: string, part: Partial<KeptList> = {}): KeptList => ({
  id,
  key,
  name,
  purpose: '',
  joinsAfter: '',
  items: [],
  version: 1,
  isBase: false,
  retired: false,
  projects: 0,
  behind: 0,
  services: [],
  rules: [],
  ...part,
});
const base = kept('b1', 'onboarding', 'Onboarding', {
  isBase: true,
  projects: 3,
  items: [item('talk', 'First talk'), item('deposit', 'Deposit in', { waitsFor: ['talk'] })],
});
const strings = kept('s1', 'strings', 'Strings', {
  joinsAfter: 'onboarding/talk',
  version: 3,
  services: [{ value: 'restoration', label: 'New strings' }],
  items: [
    item('order', 'Order strings', { takes: 8, waitsFor: ['onboarding/deposit'] }),
    item('fit', 'Fit the strings', { takes: 3, waitsFor: ['order'], doer: 'lead' }),
  ],
});
const lists = {
  items: [base, strings],
  offers: { services: [], ...rules.offers },
  samples: [{ value: 'a1', label: 'Orla, A-0001' }],
};
const tried: Tried = {
  lists: ['Onboarding', 'Strings'],
  tasks: [
    {
      key: 'strings/order',
      number: 1,
      name: 'Order strings',
      checklist: 'Strings',
      who: 'Pim Tarrow',
      left: false,
      takes: 8,
      waitsFor: [],
      start: 0,
      finish: 8,
      float: 0,
      begins: '2026-11-25',
      due: '2026-12-07',
      onChain: true,
    },
  ],
  leftOut: [{ key: 'strings/hands', name: 'Find hands' }],
  length: 8,
  room: 5,
  shortBy: 3,
  done: '2026-12-07',
  verdict: '3 working days short; the longest chain is: Order strings',
  days: [
    '2026-11-25',
    '2026-11-26',
    '2026-11-27',
    '2026-11-30',
    '2026-12-01',
    '2026-12-02',
    '2026-12-03',
    '2026-12-04',
    '2026-12-07',
  ],
  effects: [],
};
const show = (at: string, replies: Parameters<typeof showScreen>[3] = {}) =>
  showScreen(at, '/checklists/:id?', <ChecklistsScreen />, {
    'GET /api/checklists': lists,
    'POST /api/checklists/try': tried,
    'GET /api/checklists/s1/versions': { items: [] },
    'GET /api/checklists/b1/versions': { items: [] },
    ...replies,
  });

describe('Checklists', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('puts the items among those that they join, numbered, with what they wait for', () => {
    const rows = rowsOf({ ...strings, items: strings.items }, false, base);
    expect(rows.map((row) => [row.number, row.item.name, row.own])).toEqual([
      [1, 'First talk', false],
      [2, 'Order strings', true],
      [3, 'Fit the strings', true],
      [4, 'Deposit in', false],
    ]);
    const [talk, order, fit] = rows;
    expect(fit && order && leadsTo(fit, order, rows)).toBe(true);
    expect(order && fit && leadsTo(order, fit, rows)).toBe(false);
    expect(talk && fit && leadsTo(fit, talk, rows)).toBe(true);
    expect(moved(['a', 'b', 'c'], 2, 0)).toEqual(['c', 'a', 'b']);
    expect(moved(['a'], 0, -1)).toEqual(['a']);
  });

  it('says how short it is, what decides it, and what a condition leaves out', async () => {
    show('/checklists/s1');
    expect(await screen.findByText('3 working days short')).toBeTruthy();
    expect(screen.getByText(/The longest chain takes 8, there are 5/)).toBeTruthy();
    expect(screen.getByText('Find hands')).toBeTruthy();
    expect(screen.getByText(/Comes with New strings/)).toBeTruthy();
  });

  it('saves the draft with the version that it saw, and keeps it while it is refused', async () => {
    const calls = show('/checklists/s1', {
      'PUT /api/checklists/s1': () => problem(422, 'Wrong', [{ path: 'items.1.takes', message: 'Write whole days.' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /Fit the strings/ }));
    fireEvent.change(screen.getByLabelText('Working days that it takes'), { target: { value: '4' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')).toBeTruthy());
    expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
      version: 3,
      name: 'Strings',
      items: [{ key: 'order' }, { key: 'fit', takes: 4 }],
    });
    expect(await screen.findByText('Write whole days.')).toBeTruthy();
    cleanup();
    show('/checklists/s1');
    expect(await screen.findByText(/not saved/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /Fit the strings/ }));
    expect(screen.getByLabelText<HTMLInputElement>('Working days that it takes').value).toBe('4');
  });

  it('does not let an item wait for one that waits for it', async () => {
    show('/checklists/s1');
    fireEvent.click(await screen.findByRole('button', { name: /Order strings/ }));
    const option = within(screen.getByLabelText('Waits for')).getByText(/Fit the strings, a circle/);
    expect((option as HTMLOptionElement).disabled).toBe(true);
  });

  it('removes an item, and what waited for it waits for what it waited for', async () => {
    const calls = show('/checklists/s1', { 'PUT /api/checklists/s1': { ...strings, version: 4 } });
    fireEvent.click(await screen.findByRole('button', { name: /Order strings/ }));
    fireEvent.click(screen.getByRole('button', { name: /^remove/ }));
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        items: [{ key: 'fit', waitsFor: ['onboarding/deposit'] }],
      }),
    );
  });

  it('offers open projects a new version, each with what it would change', async () => {
    const project = { kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' };
    const calls = show('/checklists/s1', {
      'GET /api/checklists': { ...lists, items: [base, { ...strings, behind: 1 }] },
      'GET /api/checklists/s1/behind': {
        items: [
          {
            project,
            client: 'Orla Fennick',
            title: 'Repair',
            added: [{ name: 'Ask about a lift', due: '2026-12-01', assignee: 'Pim' }],
            removed: ['Measure'],
            moved: [],
            late: '',
          },
        ],
      },
      'POST /api/checklists/s1/take-over': strings,
    });
    expect(await screen.findByText(/adds Ask about a lift; removes Measure/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take over in 1' }));
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/take-over'))?.body).toEqual({ projects: ['p1'] }),
    );
  });

  it('names a checklist that is new, and says what is wrong beside it', async () => {
    show('/checklists/new', {
      'POST /api/checklists': () => problem(422, 'Wrong', [{ path: 'name', message: 'Give the checklist a name.' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /Add item/ }));
    fireEvent.change(screen.getByLabelText('What is to be done'), { target: { value: 'Order a van' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('Give the checklist a name.')).toBeTruthy();
  });
});
