import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { FormTableScreen } from './FormTableScreen';

import { keeping } from './designed.test-helper';

describe('a form’s table', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('shows what came as a table, and saves what is filtered', async () => {
    showScreen('/forms/f1/submissions?state=accepted', '/forms/:id/submissions', <FormTableScreen />, {
      ...keeping().replies,
      'GET /api/forms/f1/submissions': {
        columns: [
          { key: 'name', wording: 'Your name' },
          { key: 'stairs', wording: 'Stairs?' },
        ],
        items: [
          {
            id: 's1',
            number: 'A-0007',
            state: 'accepted',
            receivedAt: '2026-11-25T09:00:00+00:00',
            version: 2,
            answers: { name: 'Orla Fennick', stairs: 'yes' },
          },
        ],
        next: null,
      },
    });
    expect(await screen.findByText('Orla Fennick')).toBeTruthy();
    expect(screen.getByText('CSV').getAttribute('href')).toBe('/api/forms/f1/submissions/csv?state=accepted');
    expect(screen.getByRole('link', { name: 'A-0007' }).getAttribute('href')).toBe('/arrivals/s1?state=accepted');
    fireEvent.click(screen.getByLabelText('Your name'));
    expect(screen.queryByText('Orla Fennick')).toBeNull();
  });

  it('sorts by a column, and the other way round', async () => {
    const table = { columns: [{ key: 'name', wording: 'Your name' }], items: [row], next: null };
    const calls = showTable({ 'GET /api/forms/f1/submissions': table });
    fireEvent.click(await screen.findByRole('button', { name: /Your name/ }));
    await waitFor(() => expect(calls.at(-1)?.query.get('sort')).toBe('answer:name'));
    expect(await screen.findByRole('columnheader', { name: /Your name/ })).toHaveProperty('ariaSort', 'ascending');
    fireEvent.click(screen.getByRole('button', { name: /Your name/ }));
    await waitFor(() => expect(calls.at(-1)?.query.get('sort')).toBe('-answer:name'));
    expect(screen.getByText('XLSX').getAttribute('href')).toContain('sort=-answer%3Aname');
  });

  it('counts the answers', async () => {
    showTable({
      'GET /api/forms/f1/figures': {
        submissions: 4,
        questions: [
          {
            key: 'score',
            wording: 'Would you recommend us?',
            kind: 'scale',
            answered: 3,
            counts: [{ label: '9', count: 2, low: 0.2077, high: 0.9385 }],
            numbers: {
              least: '6',
              lowerQuarter: '7.5',
              median: '9',
              upperQuarter: '9',
              most: '9',
              mean: '8',
              score: 33,
            },
          },
        ],
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Counted' }));
    expect(await screen.findByText('Would you recommend us?')).toBeTruthy();
    expect(screen.getByText(/answered in 3 of 4.*middle 9, mean 8; score \+33/)).toBeTruthy();
    expect(screen.getByText('21 % to 94 %')).toBeTruthy();
  });

  it('saves a way of looking, uses it and removes it', async () => {
    const view = { id: 'v1', name: 'Squeaks', filter: { q: 'squeak', state: 'waiting', sort: '', hidden: ['name'] } };
    let views = [view];
    const calls = showTable({
      'GET /api/forms/f1/views': () => ({ items: views }),
      'POST /api/forms/f1/views': () => view,
      'DELETE /api/forms/f1/views/v1': () => {
        views = [];
        return new Response(null, { status: 204 });
      },
    });
    fireEvent.click(await screen.findByText('Squeaks'));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('In any answer').value).toBe('squeak'));
    fireEvent.click(screen.getByText('Save this view'));
    fireEvent.change(screen.getByLabelText(/Name of this view/), { target: { value: 'Again' } });
    fireEvent.submit(screen.getByLabelText(/Name of this view/));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ name: 'Again', filter: view.filter }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Remove the view Squeaks' }));
    await waitFor(() => expect(screen.queryByText('Squeaks')).toBeNull());
  });
});

const row = {
  id: 's1',
  number: 'A-0007',
  state: 'accepted',
  receivedAt: '2026-11-25T09:00:00+00:00',
  version: 2,
  answers: { name: 'Orla Fennick' },
};

function showTable(replies: Parameters<typeof showScreen>[3]) {
  return showScreen('/forms/f1/submissions', '/forms/:id/submissions', <FormTableScreen />, {
    ...keeping().replies,
    'GET /api/forms/f1/submissions': {
      columns: [{ key: 'name', wording: 'Your name' }],
      items: [row],
      next: null,
    },
    'GET /api/forms/f1/views': { items: [] },
    ...replies,
  });
}
