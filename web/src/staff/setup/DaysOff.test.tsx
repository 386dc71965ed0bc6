import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { DaysOffFile } from './DaysOffFile';

const days = [
  { first: '2027-08-04', last: '2027-08-06', name: 'Summer', known: false },
  { first: '2027-12-25', last: '2027-12-25', name: 'Christmas', known: true },
];
const choose = (text: string) => {
  const input = document.querySelector('input[type=file]');
  if (!input) throw new Error('there is no field for a file');
  fireEvent.change(input, { target: { files: [new File([text], 'closed.ics', { type: 'text/calendar' })] } });
};

describe('days off out of a calendar file', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('are shown before they are taken in, those that are known apart', async () => {
    const calls = showScreen('/p', '/p', <DaysOffFile staff="s2" />, {
      'POST /api/setup/days-off/read': { days, passedOver: 2 },
    });
    choose('BEGIN:VCALENDAR');
    expect(await screen.findByText(/Summer: Wednesday 4 August 2027 to Friday 6 August 2027|Summer:/)).toBeTruthy();
    expect(screen.getByText(/known already/)).toBeTruthy();
    expect(screen.getByText(/2 events are no whole days/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take in 1' }));
    expect(await screen.findByText('Taken in. U takes it back.')).toBeTruthy();
    expect(calls.filter((call) => call.method === 'POST').map((call) => call.body)).toEqual([
      { file: 'BEGIN:VCALENDAR', staff: 's2', dry: true },
      { file: 'BEGIN:VCALENDAR', staff: 's2', dry: false },
    ]);
  });

  it('say what is wrong with the file', async () => {
    showScreen('/p', '/p', <DaysOffFile />, {
      'POST /api/setup/days-off/read': () => problem(422, 'Wrong', [{ path: 'file', message: 'This is no calendar.' }]),
    });
    choose('nothing');
    expect(await screen.findByText('This is no calendar.')).toBeTruthy();
  });
});
