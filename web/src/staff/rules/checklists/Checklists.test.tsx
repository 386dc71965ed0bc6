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
  clashes: [{ key: 'strings/order', words: '“Order strings” is due on 4 January 2027, after “Fit the strings”.' }],
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
    const grouped = { ...base, items: base.items.map((one) => ({ ...one, group: 'Before' })) };
    expect(rowsOf({ ...strings, joinsAfter: 'onboarding/@Before' }, false, grouped).map((row) => row.own)).toEqual([
      false,
      false,
      true,
      true,
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

  it('opens only its own item where the base has one of the same short name', async () => {
    const same = { ...strings, items: [item('talk', 'Talk about strings'), ...strings.items] };
    show('/checklists/s1', { 'GET /api/checklists': { ...lists, items: [base, same] } });
    fireEvent.click(await screen.findByRole('button', { name: /Talk about strings/ }));
    expect(screen.getAllByLabelText('Working days that it takes')).toHaveLength(1);
    expect(screen.getAllByRole('button', { name: /^remove/ })).toHaveLength(1);
  });

  it('keeps what is typed while it is being saved', async () => {
    let letGo: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => (letGo = resolve));
    const calls = show('/checklists/s1', {
      'PUT /api/checklists/s1': async () => {
        await gate;
        return {
          ...strings,
          version: 4,
          items: strings.items.map((one) => (one.key === 'fit' ? { ...one, takes: 4 } : one)),
        };
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: /Fit the strings/ }));
    const takes = () => screen.getByLabelText<HTMLInputElement>('Working days that it takes');
    fireEvent.change(takes(), { target: { value: '4' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')).toBeTruthy());
    fireEvent.change(takes(), { target: { value: '6' } });
    letGo();
    expect(await screen.findByText(/saved, version 4/)).toBeTruthy();
    expect(takes().value).toBe('6');
    expect(screen.getByText(/not saved/)).toBeTruthy();
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
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        items: [{ key: 'fit', waitsFor: ['onboarding/deposit'] }],
      }),
    );
    expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(1);
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
            turned: [{ name: 'Carry', was: 3, number: 2, waitsFor: [1] }],
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

  it('says which days of its items do not fit', async () => {
    show('/checklists/s1', {});
    expect((await screen.findByText(/“Order strings” is due on 4 January 2027, after/)).textContent).toContain(
      'do not fit',
    );
  });

  it('says of an item who, when due, what does it and on which steps', async () => {
    const calls = show('/checklists/s1', { 'PUT /api/checklists/s1': { ...strings, version: 4 } });
    fireEvent.click(await screen.findByRole('button', { name: /Fit the strings/ }));
    const set = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
    set('Who does it', 'turns');
    set('One more', 's1');
    expect(screen.getByText('Pim Tarrow', { selector: '.chip' })).toBeTruthy();
    set('Due', 'item');
    set('Which item', 'onboarding/deposit');
    set('How many', '3');
    set('Before or after', 'before');
    set('Counted in', 'calendar');
    set('Done by itself', 'quote');
    set('Who has to approve it', 'owner');
    set('Steps to tick, one a line', 'bass\ntreble');
    set('Group', 'In the workshop');
    set('Minutes of work', '90');
    fireEvent.click(screen.getByLabelText('the client sees it'));
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.find((call) => call.method === 'PUT')).toBeTruthy());
    const sent = calls.find((call) => call.method === 'PUT')?.body as { items: Item[] };
    expect(sent.items[1]).toMatchObject({
      doer: 'turns',
      among: ['s1'],
      due: { from: 'item', amount: -3, unit: 'calendar', item: 'onboarding/deposit' },
      doneBy: 'quote',
      approval: 'owner',
      steps: ['bass', 'treble'],
      group: 'In the workshop',
      effort: 90,
      shown: true,
    });
  });

  it('counts hours only from moments, and nothing at all where a due day is taken away again', async () => {
    show('/checklists/s1');
    fireEvent.click(await screen.findByRole('button', { name: /Fit the strings/ }));
    const set = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
    set('Due', 'ready-by');
    expect(within(screen.getByLabelText('Counted in')).queryByText('hours')).toBeNull();
    set('Due', 'appointment');
    expect(within(screen.getByLabelText('Counted in')).getByText('hours')).toBeTruthy();
    set('Due', '');
    expect(screen.queryByLabelText('Counted in')).toBeNull();
  });

  it('takes a file in after a look, and nothing where a line is wrong', async () => {
    let told: object = { added: [], changed: [], wrong: ['Line 3: Say what is to be done.'] };
    const calls = show('/checklists/s1', { 'POST /api/checklists/import': () => told });
    const choose = async (text: string) => {
      const input = (await screen.findAllByLabelText('Take in from a file')).find((one) => one.tagName === 'INPUT');
      if (input) fireEvent.change(input, { target: { files: [new File([text], 'lists.csv', { type: 'text/csv' })] } });
    };
    await choose('checklist,item');
    expect(await screen.findByText('Line 3: Say what is to be done.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take in' })).toBeNull();
    told = { added: ['Van'], changed: ['Strings'], wrong: [] };
    await choose('checklist,item,more');
    expect(await screen.findByText('Adds Van. Changes Strings.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take in' }));
    expect(await screen.findByText('Taken in. U takes it back.')).toBeTruthy();
    const imports = calls.filter((call) => call.path === '/api/checklists/import').map((call) => call.body);
    expect(imports.at(-1)).toEqual({ text: 'checklist,item,more', dry: false });
  });

  it('is put aside, and its versions are brought back into the draft', async () => {
    const older = { ...strings, name: 'Strings of old', items: [item('order', 'Order them')] };
    const calls = show('/checklists/s1', {
      'POST /api/checklists/s1/retire': { ...strings, retired: true },
      'GET /api/checklists/s1/versions': {
        items: [
          { version: 3, at: '2026-11-25T09:00:00+00:00', by: 'Nessa', name: 'Strings', items: 2, list: strings },
          { version: 2, at: '2026-11-24T09:00:00+00:00', by: 'Sorcha', name: 'Strings of old', items: 1, list: older },
        ],
      },
    });
    fireEvent.click(await screen.findByText('Bring back'));
    expect(screen.getByDisplayValue('Strings of old')).toBeTruthy();
    expect(screen.getByRole('button', { name: /Order them/ })).toBeTruthy();
    fireEvent.click(screen.getByText('Discard'));
    expect(screen.getByDisplayValue('Strings')).toBeTruthy();
    fireEvent.click(screen.getByText('Retire'));
    await waitFor(() => expect(calls.find((call) => call.path.endsWith('/retire'))?.body).toEqual({ retired: true }));
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
