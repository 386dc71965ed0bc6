import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useListViews } from '../shell/listViews';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { useSignedIn } from '../session';
import { SignedOut } from './SignedOut';
import { useLost } from './useLost';

/** A screen with something typed into it, and something that is asked of the server. */
function Screen() {
  const { user } = useSignedIn();
  const [typed, setTyped] = useState('');
  const { save } = useListViews('clients', { search: '', hidden: [] }, false);
  const [lost, found] = useLost();
  return (
    <>
      <label>
        Note <input value={typed} onChange={(event) => setTyped(event.target.value)} />
      </label>
      <button type="button" onClick={() => save.mutate(typed)}>
        Save it
      </button>
      {save.isSuccess && <p>saved</p>}
      {lost && <SignedOut user={user} onDone={found} />}
    </>
  );
}

const session = (id: string) => ({
  user: {
    id,
    name: 'Nessa Quarle',
    initials: 'NQ',
    email: 'coordinator@marrowby.example',
    role: 'coordinator',
    may: [],
  },
  business: {},
});

describe('a session that has ended', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('is taken up again above the screen, with what was typed', async () => {
    let known = false;
    let right = false;
    showScreen('/clients', '/clients', <Screen />, {
      'POST /api/lists/clients/views': () =>
        known ? { id: 'v', name: 'x', search: '', hidden: [] } : problem(401, 'Sign in'),
      'POST /api/session': () => {
        if (!right) return problem(401, 'Wrong email or password');
        known = true;
        return session('s1');
      },
    });
    fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'The dog bites' } });
    fireEvent.click(screen.getByText('Save it'));
    expect(await screen.findByText('You have been signed out')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Email').value).toBe('coordinator@marrowby.example');
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'wrong' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Wrong email or password');
    right = true;
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(screen.queryByText('You have been signed out')).toBeNull());
    expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('The dog bites');
    fireEvent.click(screen.getByText('Save it'));
    expect(await screen.findByText('saved')).toBeTruthy();
  });
});
