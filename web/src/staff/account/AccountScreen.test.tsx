import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { AccountScreen } from './AccountScreen';

describe('one’s own account', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('changes the password, says what is wrong beside it, and keeps nothing typed in the browser', async () => {
    let refuse = true;
    const calls = showScreen('/account', '/account', <AccountScreen />, {
      'PUT /api/session/password': () =>
        refuse
          ? problem(422, 'Wrong', [{ path: 'current', message: 'This is not your password.' }])
          : new Response(null, { status: 204 }),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Password/ }));
    fireEvent.change(screen.getByLabelText('Your password now'), { target: { value: 'guess' } });
    fireEvent.change(screen.getByLabelText('New password'), { target: { value: 'harbour lamps at dusk' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Password' }));
    expect(await screen.findByText('This is not your password.')).toBeTruthy();
    expect(localStorage).toHaveLength(0);
    refuse = false;
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Password' }));
    expect(await screen.findByText(/Password changed/)).toBeTruthy();
    expect(calls.findLast((call) => call.method === 'PUT')?.body).toEqual({
      current: 'guess',
      next: 'harbour lamps at dusk',
    });
  });

  it('ends the sessions elsewhere', async () => {
    const calls = showScreen('/account', '/account', <AccountScreen />, {
      'DELETE /api/session/elsewhere': () => new Response(null, { status: 204 }),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Elsewhere/ }));
    fireEvent.change(screen.getByLabelText('Your password'), { target: { value: 'telamon-demo' } });
    fireEvent.click(screen.getByText('Sign out everywhere else'));
    await waitFor(() => expect(calls.some((call) => call.method === 'DELETE')).toBe(true));
    expect(await screen.findByText('You are signed out everywhere else.')).toBeTruthy();
  });
});
