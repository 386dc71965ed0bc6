import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import type { Setup } from './queries';
import { SetupScreen } from './SetupScreen';

const setup: Setup = {
  shortensAddresses: true,
  sameFrom: 90,
  perhapsFrom: 20,
  againDays: 30,
  unfinishedMinutes: 30,
  customFields: [
    { id: 'f1', record: 'client', key: 'floor', label: 'Floor', kind: 'number', choices: [], retired: false },
    { id: 'f2', record: 'asset', key: 'room', label: 'Room', kind: 'choice', choices: ['Hall'], retired: true },
  ],
};
const show = (replies: Parameters<typeof showScreen>[3] = {}) =>
  showScreen('/setup', '/setup', <SetupScreen />, { 'GET /api/setup': setup, ...replies });

describe('setup', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('shows the fields by the record that they stand on', async () => {
    show();
    expect(await screen.findByText('Of a client')).toBeTruthy();
    expect(screen.getByText('Of a piano')).toBeTruthy();
    expect(screen.getByText('retired')).toBeTruthy();
  });

  it('adds a field, and says what is wrong beside it', async () => {
    let refuse = true;
    const calls = show({
      'POST /api/setup/custom-fields': () =>
        refuse
          ? problem(422, 'Not so', [{ path: 'label', message: 'There is a field “Floor” already.' }])
          : { ...setup, customFields: [] },
    });
    await screen.findByText('Add a field');
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Floor' } });
    fireEvent.change(screen.getByLabelText('What it holds'), { target: { value: 'choice' } });
    fireEvent.change(screen.getByLabelText(/What it offers/), { target: { value: 'One\nTwo' } });
    fireEvent.click(screen.getByText('Add it'));
    expect(await screen.findByText('There is a field “Floor” already.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Floor');
    refuse = false;
    fireEvent.click(screen.getByText('Add it'));
    await waitFor(() => expect(screen.queryByText('Of a client')).toBeNull());
    expect(calls.filter((call) => call.method === 'POST')[1]?.body).toEqual({
      record: 'client',
      label: 'Floor',
      kind: 'choice',
      choices: ['One', 'Two'],
    });
  });

  it('retires a field, brings it back, and renames it', async () => {
    const calls = show({ 'PUT /api/setup/custom-fields/f1': setup, 'PUT /api/setup/custom-fields/f2': setup });
    fireEvent.click(await screen.findByRole('button', { name: 'Retire Floor' }));
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ label: 'Floor', choices: [], retired: true }));
    fireEvent.click(screen.getByRole('button', { name: 'Bring back Room' }));
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ label: 'Room', choices: ['Hall'], retired: false }));
    fireEvent.click(screen.getByRole('button', { name: 'Change Floor' }));
    const name = screen.getAllByLabelText('Name')[0];
    if (name) fireEvent.change(name, { target: { value: 'Storey' } });
    fireEvent.click(screen.getByText('Keep'));
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ label: 'Storey', choices: [''], retired: false }));
  });

  it('keeps how submissions are taken', async () => {
    const calls = show({ 'PUT /api/setup/intake': { ...setup, unfinishedMinutes: 45 } });
    fireEvent.change(await screen.findByLabelText(/Did not finish/), { target: { value: '45' } });
    fireEvent.click(screen.getByLabelText(/without their last part/));
    fireEvent.click(screen.getAllByText('Keep these')[0] as HTMLElement);
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ shortensAddresses: false, unfinishedMinutes: 45 }));
  });

  it('keeps how people are matched, and says what cannot be beside its field', async () => {
    const calls = show({
      'PUT /api/setup/matching': () =>
        problem(422, 'Wrong', [{ path: 'perhapsFrom', message: 'This lies below the other.' }]),
    });
    fireEvent.change(await screen.findByLabelText(/Ask from/), { target: { value: '95' } });
    fireEvent.click(screen.getAllByText('Keep these')[1] as HTMLElement);
    await waitFor(() => expect(calls.at(-1)?.body).toEqual({ sameFrom: 90, perhapsFrom: 95, againDays: 30 }));
    expect(await screen.findByText('This lies below the other.')).toBeTruthy();
  });
});
