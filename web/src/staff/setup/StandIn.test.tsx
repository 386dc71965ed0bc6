import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { StandIn } from './StandIn';

beforeEach(() => {
  standInForTheBrowser();
  localStorage.clear();
});
afterEach(cleanup);

describe('playing a client', () => {
  it('is there only with the stand-ins', async () => {
    const calls = showScreen('/setup', '/setup', <StandIn />, {
      'GET /api/replies?state=open': { items: [], next: null, open: 0, standIn: false, notRead: 0 },
    });
    await screen.findByText((_, element) => element?.tagName === 'BODY');
    await expect.poll(() => calls.length).toBe(1);
    expect(screen.queryByText('Play a client')).toBeNull();
  });

  it('lets a text come in, says as what, and keeps what is typed where that fails', async () => {
    let fails = true;
    const calls = showScreen('/setup', '/setup', <StandIn />, {
      'GET /api/replies?state=open': { items: [], next: null, open: 0, standIn: true, notRead: 0 },
      'POST /api/stand-in/mail': () =>
        fails
          ? problem(422, 'Look again.', [{ path: 'from', message: 'Write the phone number that it comes from.' }])
          : {
              id: 'i1',
              fromName: 'Orla Fennick',
              submission: { kind: 'submission', id: 's1', label: 'A-0007', path: '/arrivals/s1' },
            },
    });
    await screen.findByText('Play a client');
    fireEvent.change(screen.getByLabelText('They write'), { target: { value: 'text' } });
    fireEvent.change(screen.getByLabelText('from'), { target: { value: 'nobody' } });
    fireEvent.change(screen.getByLabelText('Words'), { target: { value: 'Do you move pianos?' } });
    fireEvent.click(screen.getByText('Let it come in'));
    expect(await screen.findByText('Write the phone number that it comes from.')).toBeTruthy();
    expect(screen.getByDisplayValue('Do you move pianos?')).toBeTruthy();
    fails = false;
    fireEvent.click(screen.getByText('Let it come in'));
    fireEvent.click(screen.getByText('Let it come in'));
    const link = await screen.findByText('A-0007');
    expect(link.getAttribute('href')).toBe('/arrivals/s1');
    const posted = calls.filter((call) => call.method === 'POST');
    expect(posted).toHaveLength(2);
    expect(posted[1]?.body).toMatchObject({
      channel: 'text',
      text: 'Do you move pianos?',
    });
  });
});
