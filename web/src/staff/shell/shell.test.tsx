import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import { SignIn } from '../access/SignIn';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { DayRuler } from './DayRuler';
import { Journal } from './Journal';
import { KeyList } from './KeyList';
import { Lintel } from './Lintel';
import { Plinth } from './Plinth';

const day: Schema<'Day'> = {
  now: '2026-11-25T10:42:00+00:00',
  day: '2026-11-25',
  toAnswer: 2,
  appointments: [
    {
      id: 'v1',
      title: 'tuning',
      place: 'Ropewalk',
      staff: 'Teo Ashbrand',
      initials: 'TA',
      startsAt: '2026-11-25T08:30:00+00:00',
      endsAt: '2026-11-25T09:30:00+00:00',
      state: 'done',
      projectId: 'p1',
    },
    {
      id: 'v2',
      title: 'first visit',
      place: 'Mill Race',
      staff: 'Sorcha Vell',
      initials: 'SV',
      startsAt: '2026-11-25T14:00:00+00:00',
      endsAt: '2026-11-25T15:00:00+00:00',
      state: 'to-come',
      projectId: null,
    },
  ],
  arrivals: [
    { id: 'a1', name: 'Orla Fennick', receivedAt: '2026-11-25T09:24:00+00:00', answered: false },
    { id: 'a2', name: 'Wilf Ambry', receivedAt: '2026-11-25T03:00:00+00:00', answered: true },
  ],
};

function entry(id: string, change: string, words: string, at: string, undone = false): Schema<'JournalEntry'> {
  return {
    id,
    at,
    by: 'Nessa Quarle',
    words: `made ${id}`,
    record: { kind: 'task', id, label: id, path: null },
    change: { id: change, words },
    changes: id === 'e2' ? [{ field: 'stage', from: 'Inquiry', to: 'Visit' }] : [],
    submission: null,
    undone,
  };
}

describe('the shell', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('shows today: counts, visits and arrivals, each with its name', async () => {
    showScreen('/x', '/x', <DayRuler />, { 'GET /api/day': day });
    expect(await screen.findByText('Wednesday 25 November')).toBeTruthy();
    expect(screen.getByText('2 to answer, 2 visits')).toBeTruthy();
    expect(await screen.findByText('10:42')).toBeTruthy();
    const visits = within(screen.getByRole('list', { name: 'Visits today' })).getAllByRole('button');
    expect(visits.map((visit) => visit.getAttribute('aria-label'))).toEqual([
      'TA tuning, Teo Ashbrand, Ropewalk, 08:30 to 09:30, done',
      'SV first visit, Sorcha Vell, Mill Race, 14:00 to 15:00, to come',
    ]);
    expect(screen.getByRole('button', { name: 'Orla Fennick, 09:24, not answered' })).toBeTruthy();
  });

  it('walks a lane with the arrows: one tab stop', async () => {
    showScreen('/x', '/x', <DayRuler />, { 'GET /api/day': day });
    const lane = within(await screen.findByRole('list', { name: 'Visits today' }));
    const [first, second] = lane.getAllByRole('button');
    expect([first?.tabIndex, second?.tabIndex]).toEqual([0, -1]);
    first?.focus();
    fireEvent.keyDown(first as Element, { key: 'ArrowRight' });
    expect(document.activeElement).toBe(second);
    expect([first?.tabIndex, second?.tabIndex]).toEqual([-1, 0]);
  });

  it('opens what a pin stands for', async () => {
    showScreen('/x', '/x', <DayRuler />, { 'GET /api/day': day });
    fireEvent.click(await screen.findByRole('button', { name: /Orla Fennick/ }));
    expect(await screen.findByText('elsewhere')).toBeTruthy();
  });

  it('tells the history act by act, by days', async () => {
    showScreen('/x', '/x', <Journal record="p1" />, {
      'GET /api/journal': {
        items: [
          entry('e1', 'c2', 'finished task 1', '2026-11-25T10:00:00+00:00'),
          entry('e2', 'c1', 'accepted the plan', '2026-11-24T09:00:00+00:00', true),
          entry('e3', 'c1', 'accepted the plan', '2026-11-24T09:00:00+00:00', true),
        ],
        next: null,
      },
    });
    expect(await screen.findByText(/finished task 1/)).toBeTruthy();
    expect(screen.getByText('Tue 24 November')).toBeTruthy();
    expect(screen.getByText('2 records')).toBeTruthy();
    expect(screen.getAllByText(/accepted the plan/)).toHaveLength(1);
    expect(screen.getByText('(taken back)')).toBeTruthy();
    expect(screen.getByText('Inquiry').tagName).toBe('S');
  });

  it('offers to take the last change back, and says what stays', async () => {
    const calls = showScreen('/x', '/x', <Plinth narrow={false} blocks={[[]]} />, {
      'GET /api/changes/last': {
        change: { id: 'c1', words: 'accepted the plan for Orla', at: '2026-11-25T10:36:00+00:00', record: null },
      },
      'POST /api/changes/c1/undo': {
        words: 'Took back: accepted the plan for Orla',
        undone: 3,
        kept: [
          { record: { kind: 'message', id: 'm1', label: 'the mail' }, why: 'already sent; it cannot be recalled' },
        ],
      },
    });
    expect(await screen.findByText('10:36, accepted the plan for Orla')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'u', code: 'KeyU' });
    expect(await screen.findByText('the mail: already sent; it cannot be recalled')).toBeTruthy();
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(1);
  });

  it('keeps the blocks that do not fit under More on a narrow screen', async () => {
    const act = vi.fn();
    showScreen(
      '/x',
      '/x',
      <Plinth
        narrow
        blocks={[[{ label: 'Set aside', act }], [{ label: 'Accept plan', main: true, act: () => undefined }]]}
      />,
      {},
    );
    expect(await screen.findByText('Accept plan')).toBeTruthy();
    expect(screen.queryByText('Set aside')).toBeNull();
    fireEvent.click(screen.getByText('More'));
    fireEvent.click(await screen.findByText('Set aside'));
    expect(act).toHaveBeenCalled();
  });

  it('finds anything by what is typed', async () => {
    const calls = showScreen('/x', '/x', <Lintel areas={[]} onKeys={() => undefined} />, {
      'GET /api/search': {
        items: [
          {
            kind: 'client',
            group: 'Clients',
            id: 'c1',
            label: 'Orla Fennick',
            second: 'orla@example.com',
            path: '/clients/c1',
          },
          {
            kind: 'asset',
            group: 'Pianos',
            id: 'p1',
            label: 'Pell upright',
            second: 'Orla Fennick',
            path: '/clients/c1',
          },
        ],
      },
    });
    fireEvent.keyDown(window, { key: '/', code: 'Slash' });
    const field = screen.getByRole('combobox', { name: 'Find a client, piano or number' });
    expect(document.activeElement).toBe(field);
    // Typed before what answers is there: nothing of it is lost.
    fireEvent.change(field, { target: { value: 'orl' } });
    const option = await screen.findByRole('option', { name: /^Orla Fennick/ });
    expect(screen.getByText('Pianos')).toBeTruthy();
    expect(calls.find((call) => call.query.get('q') === 'orl')).toBeTruthy();
    fireEvent.click(option);
    expect(await screen.findByText('elsewhere')).toBeTruthy();
  });

  it('says when nothing is found', async () => {
    showScreen('/x', '/x', <Lintel areas={[]} onKeys={() => undefined} />, { 'GET /api/search': { items: [] } });
    screen.getByRole('combobox').focus();
    await waitFor(() => expect(screen.getByRole('combobox').getAttribute('aria-autocomplete')).toBe('list'));
    fireEvent.change(screen.getByRole('combobox'), { target: { value: 'zzzz' } });
    expect(await screen.findByText('Nobody and nothing by that name.')).toBeTruthy();
  });

  it('lists every key once', () => {
    showScreen('/x', '/x', <KeyList open onClose={() => undefined} />, {});
    const shown = [...screen.getByRole('dialog').querySelectorAll('dt')].map((key) => key.textContent);
    expect(new Set(shown).size).toBe(shown.length);
    expect(shown).toContain('Ctrl Enter');
  });

  it('asks for what is missing when signing in, and says what went wrong', async () => {
    showScreen('/x', '/x', <SignIn />, {
      'POST /api/session': () => problem(401, 'The email and the password do not go together.'),
    });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('Write the address that you sign in with.')).toBeTruthy();
    expect(screen.getByText('Write your password.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Email'), { target: { value: 'nessa@example.com' } });
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'wrong' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('The email and the password do not go together.')).toBeTruthy();
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Email').value).toBe('nessa@example.com'));
  });
});
