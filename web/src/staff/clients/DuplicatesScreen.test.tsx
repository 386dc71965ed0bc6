import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { DuplicatesScreen } from './DuplicatesScreen';

const client = (id: string, name: string) => ({ id, name, since: '2024-02-01', projects: 1 });
const field = (key: string, here: string, there: string, weight: number) => ({
  key,
  field: key === 'name' ? 'Name' : 'Address',
  here,
  there,
  same: here === there,
  verdict: here === there ? 'same' : 'nearly',
  weight,
});
const pairs = {
  total: 2,
  items: [
    {
      probability: 0.99,
      percent: '99 %',
      one: client('c1', 'Cormac Brackley'),
      other: client('c2', 'Cormac Brackly'),
      fields: [
        field('name', 'Cormac Brackley', 'Cormac Brackly', 11.8),
        field('address', '12 Harbour Hill', '12 Harbour Hill', 12.8),
      ],
    },
    {
      probability: 0.4,
      percent: '40 %',
      one: client('c3', 'Bea Larkhill'),
      other: client('c4', 'Beatrice Larkhill'),
      fields: [],
    },
  ],
};
const change = { change: { id: 'x1', words: 'made one', at: '2026-11-25T10:42:00+00:00', record: null } };

function show(replies: Parameters<typeof showScreen>[3] = {}) {
  return showScreen('/clients/duplicates', '/clients/duplicates', <DuplicatesScreen />, {
    'GET /api/duplicates': pairs,
    ...replies,
  });
}

describe('Duplicates', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('shows the likeliest pair side by side, with what each field says', async () => {
    show();
    expect(await screen.findByRole('heading', { name: 'Cormac Brackley and Cormac Brackly' })).toBeTruthy();
    expect(screen.getAllByText('strong')[0]).toBeTruthy();
    expect(screen.getAllByRole('radio')).toHaveLength(2);
  });

  it('goes on by key', async () => {
    show();
    await screen.findByRole('heading', { name: 'Cormac Brackley and Cormac Brackly' });
    fireEvent.keyDown(window, { key: 'ArrowDown', code: 'ArrowDown' });
    expect(await screen.findByRole('heading', { name: 'Bea Larkhill and Beatrice Larkhill' })).toBeTruthy();
  });

  it('makes one of them, with the name that was chosen, and offers the way back', async () => {
    const calls = show({
      'POST /api/clients/c1/merge': change,
      'POST /api/changes/x1/undo': { words: 'Took back', undone: 3, kept: [] },
    });
    fireEvent.click(await screen.findByLabelText('Cormac Brackly'));
    fireEvent.keyDown(window, { key: 'm', code: 'KeyM' });
    await waitFor(() =>
      expect(calls.find((call) => call.path.endsWith('/merge'))?.body).toEqual({ other: 'c2', take: ['name'] }),
    );
    fireEvent.click(await screen.findByText('Undo', { selector: 'button' }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/changes/x1/undo')).toBe(true));
  });

  it('tells two apart', async () => {
    const calls = show({ 'POST /api/clients/c1/tell-apart': change });
    await screen.findByRole('heading', { name: 'Cormac Brackley and Cormac Brackly' });
    fireEvent.keyDown(window, { key: 'n', code: 'KeyN' });
    await waitFor(() => expect(calls.find((call) => call.path.endsWith('/tell-apart'))?.body).toEqual({ other: 'c2' }));
    expect(await screen.findByText('Cormac Brackley and Cormac Brackly are two')).toBeTruthy();
  });

  it('says when there are none', async () => {
    show({ 'GET /api/duplicates': { items: [], total: 0 } });
    expect(await screen.findByText('No two clients look like one person.')).toBeTruthy();
  });

  it('asks which value of a custom field counts', async () => {
    const floor = { ...field('custom.floor', '1', '3', 0), field: 'Floor', verdict: 'differs' };
    const calls = show({
      'GET /api/duplicates': { total: 1, items: [{ ...pairs.items[0], fields: [floor] }] },
      'POST /api/clients/c1/merge': change,
    });
    fireEvent.click((await screen.findAllByRole('radio'))[1] as HTMLElement);
    fireEvent.keyDown(window, { key: 'm', code: 'KeyM' });
    await waitFor(() =>
      expect(calls.find((call) => call.path === '/api/clients/c1/merge')?.body).toEqual({
        other: 'c2',
        take: ['custom.floor'],
      }),
    );
  });
});
