import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Schema } from '../../../shared/api';
import { showScreen } from '../../testing/server.test-helper';
import { FollowUpsScreen } from './FollowUpsScreen';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const series: Schema<'FollowUp'> = {
  id: 'f1',
  key: 'first',
  name: 'First answer',
  on: true,
  version: 1,
  inside: 1,
  courses: {
    main: [
      { key: 'send-1', kind: 'send', what: 'first' },
      { key: 'wait-1', kind: 'wait', amount: 2, unit: 'days', at: '' },
      { key: 'task-1', kind: 'task', what: 'Ring them', who: 'lead', days: 0 },
    ],
  },
  runs: [],
  curve: { cases: 24, points: [{ days: 1.5, left: 0.75 }] },
  figures: [
    {
      key: 'send-1',
      done: 24,
      answered: 5,
      booked: 1,
      forms: 0,
      people: [],
      curve: {
        cases: 24,
        points: [
          { days: 1.5, left: 0.75 },
          { days: 2.5, left: 0.5 },
        ],
      },
    },
  ],
};

const show = (one: Schema<'FollowUp'> = series) =>
  showScreen('/messages/follow-ups/f1', '/messages/follow-ups/:id?', <FollowUpsScreen />, {
    'GET /api/follow-ups': {
      items: [one],
      templates: [{ value: 'first', label: 'We have it' }],
      pages: [],
      forms: [],
      stages: [],
      courses: [],
    },
    'GET /api/follow-ups/f1': one,
    'POST /api/follow-ups/try': ({ start }: { start: string }) => ({
      acts: [
        { at: start, key: 'send-1', kind: 'send', asText: false, what: 'first', course: 'main' },
        {
          at: '2026-11-27T10:42:00+00:00',
          key: 'task-1',
          kind: 'task',
          asText: false,
          what: 'Ring them',
          course: 'main',
        },
      ],
    }),
  });

const profile = async () => within(await screen.findByRole('region', { name: 'Who has not answered yet' }));

describe('an answer profile', () => {
  it('says of how many, and what came of a step', async () => {
    show();
    expect((await profile()).getByText('per cent of the 24 who began in the last 90 days')).toBeTruthy();
    expect(await (await profile()).findByText('6 back, 25 %')).toBeTruthy();
    expect((await profile()).getByText('mail, 24 sent')).toBeTruthy();
  });

  it('is there in figures too', async () => {
    show();
    fireEvent.click(await screen.findByText('As a table'));
    const row = screen.getByRole('row', { name: /1 We have it/ });
    expect(
      within(row)
        .getAllByRole('cell')
        .map((cell) => cell.textContent),
    ).toEqual(['0', '24', '5', '1', '0', '100 %']);
    fireEvent.click(screen.getByText('As a line'));
    expect(screen.queryByRole('table')).toBeNull();
  });

  it('opens the step that is chosen on it', async () => {
    show();
    fireEvent.click(await (await profile()).findByTitle('We have it'));
    expect(await screen.findByLabelText('Template')).toBeTruthy();
    fireEvent.click((await profile()).getByTitle('We have it'));
    expect(screen.queryByLabelText('Template')).toBeNull();
  });

  it('shows no line where nobody has begun, and its steps all the same', async () => {
    show({ ...series, curve: { cases: 0, points: [] }, figures: [] });
    expect((await profile()).getByText('nobody has begun in the last 90 days')).toBeTruthy();
    expect(await (await profile()).findByTitle('We have it')).toBeTruthy();
    fireEvent.click(screen.getByText('As a table'));
    expect(screen.queryByText('100 %')).toBeNull();
  });

  const run = (id: string, name: string, hours: number): Schema<'FollowUpRun'> => ({
    id: `r${id}`,
    followUp: { id: 'f1', name: 'First answer' },
    client: { kind: 'client', id: `c${id}`, label: name, path: `/clients/c${id}` },
    project: null,
    state: 'inside',
    course: 'main',
    step: 'task-1',
    dueAt: null,
    // The day of the stand-in begins at 10:42.
    startedAt: new Date(Date.parse('2026-11-25T10:42:00Z') - hours * 3_600_000).toISOString(),
    endedAt: null,
    startedBy: 'Nessa',
    why: '',
    waitsFor: null,
    version: 1,
    log: [],
  });

  it('leads to whoever stands there', async () => {
    show({ ...series, runs: [run('1', 'Orla Fennick', 26), run('2', 'Tess Marlow', 2)] });
    const pin = await (await profile()).findByRole('link', { name: 'Orla Fennick, day 1' });
    expect(pin.getAttribute('href')).toBe('/clients/c1');
    expect((await profile()).getByRole('link', { name: 'Tess Marlow, day 0' })).toBeTruthy();
  });

  it('leads to the form that somebody has to look at before it goes on', async () => {
    const waits: Schema<'FollowUpRun'> = {
      ...run('1', 'Orla Fennick', 26),
      state: 'paused',
      why: 'they sent A-0108: somebody looks at it',
      waitsFor: { kind: 'submission', id: 's1', label: 'A-0108 Orla Fennick', path: '/arrivals/s1' },
    };
    show({ ...series, runs: [waits] });
    expect((await screen.findByRole('link', { name: 'A-0108 Orla Fennick' })).getAttribute('href')).toBe(
      '/arrivals/s1',
    );
    expect(screen.getByText(/somebody looks at it/)).toBeTruthy();
  });

  it('names those who stand close together, each to be opened', async () => {
    show({ ...series, runs: [run('1', 'Orla Fennick', 26), run('2', 'Tess Marlow', 27)] });
    fireEvent.click(await (await profile()).findByRole('button', { name: '2 people: Orla Fennick, Tess Marlow' }));
    expect((await profile()).getByRole('link', { name: 'Tess Marlow, day 1' }).getAttribute('href')).toBe(
      '/clients/c2',
    );
    fireEvent.click((await profile()).getByRole('button', { name: /2 people/ }));
    expect((await profile()).queryByRole('link', { name: 'Tess Marlow, day 1' })).toBeNull();
  });
});

describe('a wait between two messages', () => {
  const between = {
    ...series,
    courses: {
      main: [
        { key: 'send-1', kind: 'send' as const, what: 'first' },
        { key: 'wait-1', kind: 'wait' as const, amount: 2, unit: 'days' as const, at: '' },
        { key: 'send-2', kind: 'send' as const, what: 'first' },
      ],
    },
  };

  it('says what another one would have meant for those who came before', async () => {
    show(between);
    fireEvent.click((await screen.findAllByText('2 days')).at(-1) as HTMLElement);
    const table = await screen.findByRole('table', { name: 'waiting before 2, of the 24 who got 1 in 90 days' });
    const rows = () =>
      within(table)
        .getAllByRole('row')
        .slice(1)
        .map((row) => row.textContent);
    expect(rows()).toEqual(['1 day240', '2 days186', '3 days1212']);
    fireEvent.change(screen.getByLabelText('How long'), { target: { value: '4' } });
    expect(rows()).toEqual(['2 days, was186', '3 days1212', '4 days, as typed1212', '5 days1212']);
  });

  it('says nothing where nobody came to the message before it, or none follows', async () => {
    show({ ...between, figures: [] });
    fireEvent.click((await screen.findAllByText('2 days')).at(-1) as HTMLElement);
    expect(await screen.findByLabelText('How long')).toBeTruthy();
    expect(screen.queryByText(/waiting before/)).toBeNull();
    cleanup();
    show();
    fireEvent.click((await screen.findAllByText('2 days')).at(-1) as HTMLElement);
    expect(await screen.findByLabelText('How long')).toBeTruthy();
    expect(screen.queryByText(/waiting before/)).toBeNull();
  });
});

describe('a step that is chosen', () => {
  it('is moved in time and in its course, and removed, by keys', async () => {
    show();
    fireEvent.click(await (await profile()).findByTitle('Ring them', { exact: false }));
    const steps = () =>
      within(screen.getByRole('region', { name: 'No answer yet' })).getAllByRole('button', { expanded: undefined });
    const words = () =>
      steps()
        .map((one) => one.textContent)
        .filter((one) => /days?$|We have it|Ring them/.test(one));
    const press = (key: string, altKey = true) => fireEvent.keyDown(window, { key, code: key, altKey });
    press('ArrowRight');
    expect((await screen.findAllByText('3 days')).length).toBeGreaterThan(0);
    press('ArrowLeft');
    press('ArrowLeft');
    expect((await screen.findAllByText('1 day')).length).toBeGreaterThan(0);
    press('ArrowUp');
    expect(words().findIndex((one) => one.includes('Ring them'))).toBeLessThan(
      words().findIndex((one) => one.includes('1 day')),
    );
    press('Delete', false);
    expect(words().some((one) => one.includes('Ring them'))).toBe(false);
  });
});

describe('a wait after “later”', () => {
  it('can be until the day that they name', async () => {
    show({
      ...series,
      courses: {
        ...series.courses,
        later: [{ key: 'later-wait', kind: 'wait', amount: 30, unit: 'days', at: '', named: false }],
      },
    });
    fireEvent.click(await screen.findByText('30 days'));
    fireEvent.click(screen.getByLabelText(/until the day that they name/));
    expect(await screen.findByText('until the day that they name, else 30 days')).toBeTruthy();
  });

  it('is not asked of other waits', async () => {
    show();
    fireEvent.click((await screen.findAllByText('2 days')).at(-1) as HTMLElement);
    expect(await screen.findByLabelText('How long')).toBeTruthy();
    expect(screen.queryByLabelText(/until the day that they name/)).toBeNull();
  });
});
