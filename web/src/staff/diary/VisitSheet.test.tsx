import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import type { Diary, Visit } from './queries';
import { VisitSheet } from './VisitSheet';

const person = { id: 's2', name: 'Sorcha Vell', initials: 'SV' };
const visit: Visit = {
  id: 'v1',
  version: 2,
  title: 'Look at it',
  place: '2 Mill Race',
  onTheRoad: true,
  staff: person,
  also: [],
  client: null,
  project: { kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' },
  submission: null,
  type: null,
  startsAt: '2026-12-03T10:00:00+00:00',
  endsAt: '2026-12-03T11:00:00+00:00',
  clearBefore: 0,
  clearAfter: 0,
  roadBefore: 0,
  state: 'booked',
  now: 'to-come',
  heldUntil: null,
  movedFrom: null,
  priority: 5,
  notes: '',
  wish: '',
  who: 'Orla Fennick',
  phone: '',
  phoneText: '',
  email: '',
  series: null,
  waiting: [],
  answers: [],
};
const diary = { zone: 'Europe/Dublin', now: '2026-11-25T09:30:00+00:00', staff: [person] } as unknown as Diary;

describe('A visit', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(cleanup);

  it('says what hangs on it as another day is typed, before it moves', async () => {
    const calls = showScreen('/', '/', <VisitSheet id="v1" diary={diary} onClose={() => undefined} />, {
      'GET /api/appointments/v1': visit,
      'POST /api/appointments/check': {
        against: [],
        follows: {
          moved: [{ number: 3, name: 'Pack the van', was: '2026-12-04', due: '2026-12-11' }],
          stays: [{ number: 4, name: 'Order felt', due: '2026-12-01', earliest: '2026-12-12' }],
        },
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Move or change' }));
    expect(screen.getByText('5 points')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Notes'), { target: { value: 'Ring first' } });
    expect(calls.filter((call) => call.path.endsWith('/check'))).toHaveLength(0);
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2026-12-10' } });
    expect(await screen.findByText(/1 task would move with it/)).toBeTruthy();
    expect(screen.getByText(/Order felt stays on/)).toBeTruthy();
    const asked = calls.find((call) => call.path.endsWith('/check'));
    expect(asked?.body).toEqual({
      id: 'v1',
      staff: 's2',
      startsAt: '2026-12-10T10:00:00+00:00',
      endsAt: '2026-12-10T11:00:00+00:00',
    });
    expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(0);
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2026-12-03' } });
    await waitFor(() => expect(screen.queryByText(/would move with it/)).toBeNull());
  });
});
