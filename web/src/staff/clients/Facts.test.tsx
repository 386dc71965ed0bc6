import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { ClientScreen } from './ClientScreen';
import { NewClientScreen } from './NewClientScreen';

const client: Schema<'Client'> = {
  id: 'c1',
  version: 4,
  name: 'Bryony Tesk',
  givenName: 'Bryony',
  familyName: 'Tesk',
  organisation: '',
  notes: '',
  tags: ['two pianos'],
  custom: [],
  contacts: [],
  address: '12 Ropewalk, Marrowby',
  otherAddresses: [],
  owner: null,
  ownerId: null,
  since: '2021-03-01',
  contactPoints: [
    { id: 'p1', kind: 'phone', value: '+353209150184', text: '+353 20 915 0184', purpose: '', confirmed: true },
  ],
  assets: [],
  links: [],
  mergedInto: null,
  language: '',
  archivedOn: null,
  consents: [],
};
const offers = { items: [], offers: { staff: [{ value: 's2', label: 'Sorcha Vell' }] } };

function show(replies: Parameters<typeof showScreen>[3] = {}) {
  return showScreen('/clients/c1', '/clients/:id', <ClientScreen />, {
    'GET /api/clients/c1': client,
    'GET /api/rules': offers,
    'GET /api/journal': { items: [], next: null },
    ...replies,
  });
}

describe('facts about a client', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('are edited where they stand, one at a time, and only that is sent', async () => {
    const calls = show({ 'PUT /api/clients/c1': { ...client, version: 5, organisation: 'Quarry Hall' } });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Organisation/ }));
    fireEvent.change(screen.getByLabelText('Organisation'), { target: { value: 'Quarry Hall' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Organisation' }));
    expect(await screen.findByText(/Organisation saved/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ version: 4, organisation: 'Quarry Hall' });
    expect(screen.queryByRole('form')).toBeNull();
    expect(localStorage).toHaveLength(0);
  });

  it('say what was wrong beside the field, and keep what was typed', async () => {
    show({
      'PUT /api/clients/c1': () =>
        problem(422, 'No.', [{ path: 'contactPoints.0.value', message: 'Use figures, like 020 914 3327.' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Phone/ }));
    fireEvent.change(screen.getByLabelText('Phone'), { target: { value: 'ask' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Phone' }));
    expect(await screen.findByText(/Use figures/)).toBeTruthy();
    expect(screen.getByLabelText('Phone')).toHaveProperty('value', 'ask');
  });

  it('say when somebody else was quicker', async () => {
    show({ 'PUT /api/clients/c1': () => problem(409, 'Somebody else changed this since you opened it.') });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Notes/ }));
    fireEvent.change(screen.getByLabelText('Notes'), { target: { value: 'Ring twice.' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Notes' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Somebody else changed this');
    expect(screen.getByLabelText('Notes')).toHaveProperty('value', 'Ring twice.');
  });

  it('are open again with what was typed after going away, until that is cancelled', async () => {
    show();
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Notes/ }));
    fireEvent.change(screen.getByLabelText('Notes'), { target: { value: 'The dog bites.' } });
    cleanup();
    show();
    expect(await screen.findByLabelText('Notes')).toHaveProperty('value', 'The dog bites.');
    fireEvent.keyDown(screen.getByLabelText('Notes'), { key: 'Escape' });
    await waitFor(() => expect(document.activeElement).toBe(screen.getByRole('button', { name: /^Edit Notes/ })));
    expect(localStorage).toHaveLength(0);
  });

  it('send what was touched, and the rest as it is by then', async () => {
    show();
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Name/ }));
    fireEvent.change(screen.getByLabelText('Given name'), { target: { value: 'Briony' } });
    cleanup();
    const theirs = { ...client, version: 5, name: 'Bryony Quill', familyName: 'Quill' };
    const calls = show({ 'GET /api/clients/c1': theirs, 'PUT /api/clients/c1': theirs });
    expect(await screen.findByLabelText('Given name')).toHaveProperty('value', 'Briony');
    expect(screen.getByLabelText('Family name')).toHaveProperty('value', 'Quill');
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Name' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        version: 5,
        givenName: 'Briony',
        familyName: 'Quill',
      }),
    );
  });

  it('are removed, where they are a way to reach somebody', async () => {
    const calls = show({ 'PUT /api/clients/c1': { ...client, contactPoints: [] } });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Phone/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(await screen.findByText(/915 0184 removed/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
      version: 4,
      contactPoints: [{ id: 'p1', was: '+353209150184', kind: 'phone', value: '', remove: true }],
    });
  });

  it('are added: another mail address', async () => {
    const calls = show({ 'PUT /api/clients/c1': client });
    fireEvent.click(await screen.findByRole('button', { name: 'Add email' }));
    fireEvent.change(screen.getByLabelText('Another email'), { target: { value: 'b@tesk.example' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Email' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        version: 4,
        contactPoints: [{ id: null, kind: 'email', value: 'b@tesk.example', purpose: '' }],
      }),
    );
  });
});

describe('somebody new', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('is put on file once it is seen who is there already', async () => {
    const calls = showScreen('/clients/new', '/clients/:id', <NewClientScreen />, {
      'GET /api/alike': {
        items: [
          {
            client: { kind: 'client', id: 'c9', label: 'Brian Tesk', path: '/clients/c9' },
            why: '62 % one person: same family name',
          },
        ],
      },
      'POST /api/clients': client,
    });
    fireEvent.change(screen.getByLabelText('Family name'), { target: { value: 'Tesk' } });
    fireEvent.change(screen.getByLabelText('Phone'), { target: { value: '020 915 0184' } });
    expect((await screen.findByRole('link', { name: 'Brian Tesk' })).getAttribute('href')).toBe('/clients/c9');
    expect(screen.getByText(/62 %/)).toBeTruthy();
    // Two keys within one breath are one client.
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.some((call) => call.method === 'POST')).toBe(true));
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(1);
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      givenName: '',
      familyName: 'Tesk',
      organisation: '',
      address: '',
      contactPoints: [{ kind: 'phone', value: '020 915 0184' }],
    });
    await waitFor(() => expect(localStorage).toHaveLength(0));
  });

  it('is sent under the same name again, where the answer was lost on the way, also after a reload', async () => {
    const lost = {
      'GET /api/alike': { items: [] },
      'POST /api/clients': () => {
        throw new TypeError('network');
      },
    };
    const first = showScreen('/clients/new', '/clients/:id', <NewClientScreen />, lost);
    fireEvent.change(screen.getByLabelText('Family name'), { target: { value: 'Tesk' } });
    fireEvent.click(screen.getByRole('button', { name: /Save the client/ }));
    expect(await screen.findByText(/The server cannot be reached/)).toBeTruthy();
    cleanup();
    const again = showScreen('/clients/new', '/clients/:id', <NewClientScreen />, {
      ...lost,
      'POST /api/clients': client,
    });
    expect(screen.getByLabelText('Family name')).toHaveProperty('value', 'Tesk');
    fireEvent.click(screen.getByRole('button', { name: /Save the client/ }));
    await waitFor(() => expect(localStorage).toHaveLength(0));
    const [one, two] = [first, again].map((calls) => calls.find((call) => call.method === 'POST'));
    expect(one?.key).toMatch(/^[0-9a-f]{32}$/);
    expect(two).toMatchObject({ key: one?.key, body: one?.body });
  });

  it('keeps what was typed when it cannot be', async () => {
    showScreen('/clients/new', '/clients/:id', <NewClientScreen />, {
      'GET /api/alike': { items: [] },
      'POST /api/clients': () =>
        problem(422, 'No.', [{ path: 'familyName', message: 'A client has a name, or is an organisation.' }]),
    });
    fireEvent.change(screen.getByLabelText('Address'), { target: { value: '12 Ropewalk' } });
    fireEvent.click(screen.getByRole('button', { name: /Save the client/ }));
    expect(await screen.findByText(/A client has a name/)).toBeTruthy();
    expect(screen.getByLabelText('Address')).toHaveProperty('value', '12 Ropewalk');
  });
});
