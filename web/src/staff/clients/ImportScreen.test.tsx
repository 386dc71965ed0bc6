import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { ImportScreen } from './ImportScreen';

const looked = {
  id: 'i1',
  state: 'ready',
  fileName: 'cards.csv',
  heads: ['Who', 'Mail'],
  fields: ['', 'email'],
  offers: [
    { value: 'full_name', label: 'full name' },
    { value: 'email', label: 'email' },
  ],
  counts: { new: 0, matched: 0, doubtful: 0, wrong: 2 },
  told: [{ line: 2, name: '', verdict: 'wrong', why: 'no name and no organisation' }],
  total: 2,
  done: 0,
  changeId: null,
};
const mapped = {
  ...looked,
  fields: ['full_name', 'email'],
  counts: { new: 1, matched: 1, doubtful: 0, wrong: 0 },
  told: [],
};

function show(replies: Parameters<typeof showScreen>[3]) {
  return showScreen('/clients/import', '/clients/import', <ImportScreen />, replies);
}

const bring = () =>
  fireEvent.change(screen.getByLabelText(/CSV or vCard/), { target: { files: [new File(['Who,Mail'], 'cards.csv')] } });

describe('Clients from a file', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('looks first, lets columns be named, brings in, and offers the way back', async () => {
    let state: object = looked;
    const calls = show({
      'POST /api/client-imports': () => Promise.resolve(state),
      'GET /api/client-imports/i1': () => Promise.resolve(state),
      'PUT /api/client-imports/i1': () => Promise.resolve((state = mapped)),
      'POST /api/client-imports/i1/carry-out': () =>
        Promise.resolve((state = { ...mapped, state: 'done', done: 2, changeId: 'x1' })),
      'POST /api/changes/x1/undo': { words: 'Took back', undone: 1, kept: [] },
    });
    expect(screen.getByText('No file yet')).toBeTruthy();
    bring();
    expect(await screen.findByText('no name and no organisation')).toBeTruthy();
    expect(screen.queryByText('No file yet')).toBeNull();
    fireEvent.change(screen.getByLabelText('what Who holds'), { target: { value: 'full_name' } });
    expect(await screen.findByText('1 new, 1 matched, 0 doubtful, 0 wrong')).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ fields: ['full_name', 'email'] });
    fireEvent.click(screen.getByText('Bring in 2'));
    expect(await screen.findByText('Brought in, 2 lines.')).toBeTruthy();
    fireEvent.click(screen.getByText('Undo'));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/changes/x1/undo')).toBe(true));
  });

  it('says why a file cannot be read', async () => {
    show({ 'POST /api/client-imports': () => problem(422, 'The file is not in UTF-8. Save it again as UTF-8.') });
    bring();
    expect(await screen.findByText(/not in UTF-8/)).toBeTruthy();
  });

  it('says when the file was gone before its turn came', async () => {
    show({
      'POST /api/client-imports': { ...mapped, state: 'failed', done: 1 },
      'GET /api/client-imports/i1': { ...mapped, state: 'failed', done: 1 },
    });
    bring();
    expect(await screen.findByText(/The file is here no more. 1 of 2 lines had come in/)).toBeTruthy();
  });
});
