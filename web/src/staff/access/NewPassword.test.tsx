import { cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { NewPassword } from './NewPassword';

describe('a lost password', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    window.history.replaceState(null, '', '/');
    vi.unstubAllGlobals();
  });

  it('is asked about without telling who is here', async () => {
    const calls = showScreen('/new-password', '/new-password', <NewPassword />, {
      'POST /api/public/password-links': () => new Response(null, { status: 204 }),
    });
    fireEvent.change(screen.getByLabelText(/Email/), { target: { value: 'pim@marrowby.example' } });
    fireEvent.click(screen.getByText('Send a link'));
    expect(await screen.findByText(/If somebody here signs in with this address/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ email: 'pim@marrowby.example' });
  });

  it('is chosen anew by the link, with what is wrong beside the field', async () => {
    window.history.replaceState(null, '', '/new-password?token=t.1.m');
    let refuse = true;
    const calls = showScreen('/new-password', '/new-password', <NewPassword />, {
      'PUT /api/public/password': () =>
        refuse
          ? problem(422, 'Wrong', [{ path: 'password', message: 'Use 12 characters or more.' }])
          : new Response(null, { status: 204 }),
    });
    fireEvent.change(screen.getByLabelText(/New password/), { target: { value: 'short' } });
    fireEvent.click(screen.getByText('Save'));
    expect(await screen.findByText('Use 12 characters or more.')).toBeTruthy();
    refuse = false;
    fireEvent.change(screen.getByLabelText(/New password/), { target: { value: 'harbour lamps at dusk' } });
    fireEvent.click(screen.getByText('Save'));
    expect(await screen.findByText(/counts from now on/)).toBeTruthy();
    expect(calls.findLast((call) => call.method === 'PUT')?.body).toEqual({
      token: 't.1.m',
      password: 'harbour lamps at dusk',
    });
  });
});
