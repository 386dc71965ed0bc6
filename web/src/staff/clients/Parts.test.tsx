import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../../shared/api';
import { problem, showScreen, standInForTheBrowser, type Call } from '../testing/server.test-helper';
import { ClientScreen } from './ClientScreen';
import { ClientsScreen } from './ClientsScreen';

const consent = {
  id: 'k1',
  what: 'News',
  wording: 'May we write to you?',
  given: true,
  day: '2026-03-12',
  way: 'by phone',
  by: 'Nessa Quarle',
};
const client: Schema<'Client'> = {
  id: 'c1',
  version: 4,
  name: 'Bryony Tesk',
  givenName: 'Bryony',
  familyName: 'Tesk',
  organisation: '',
  notes: '',
  tags: [],
  custom: [{ key: 'steps', label: 'Steps', kind: 'number', value: '', choices: [] }],
  contacts: [],
  address: '',
  otherAddresses: [],
  owner: null,
  ownerId: null,
  since: '2021-03-01',
  contactPoints: [],
  assets: [
    { id: 'a1', description: 'Halk & Roe', place: '', make: '', model: '', serialNumber: '', notes: '', custom: [] },
  ],
  links: [
    { id: 'l1', words: 'pays for', client: { kind: 'client', id: 'c2', label: 'Ida Spindle', path: '/clients/c2' } },
  ],
  mergedInto: null,
  language: '',
  archivedOn: null,
  consents: [consent, { ...consent, id: 'k2', given: false, day: '2026-04-01' }],
};

function show(replies: Parameters<typeof showScreen>[3] = {}) {
  return showScreen('/clients/c1', '/clients/:id', <ClientScreen />, {
    'GET /api/clients/c1': client,
    'PUT /api/clients/c1': client,
    'GET /api/journal': { items: [], next: null },
    ...replies,
  });
}
const put = (calls: Call[]) => calls.findLast((call) => call.method === 'PUT')?.body;

describe('what belongs to a client', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('shows the latest answer to what was asked, and asks again in the same words', async () => {
    const calls = show();
    const news = await screen.findByRole('button', { name: /^Edit News/ });
    expect(news.textContent).toContain('no, ');
    fireEvent.click(news);
    fireEvent.change(screen.getByLabelText('They said'), { target: { value: 'yes' } });
    fireEvent.change(screen.getByLabelText('How'), { target: { value: 'at the desk' } });
    fireEvent.click(screen.getByText('Save the new answer'));
    await waitFor(() =>
      expect(put(calls)).toEqual({
        version: 4,
        consents: [{ what: 'News', wording: 'May we write to you?', given: true, way: 'at the desk', day: '' }],
      }),
    );
  });

  it('removes a link, and what they have', async () => {
    const calls = show();
    fireEvent.click(await screen.findByRole('button', { name: 'Remove: pays for Ida Spindle' }));
    await waitFor(() => expect(put(calls)).toEqual({ version: 4, links: [{ id: 'l1', remove: true }] }));
    fireEvent.click(screen.getByRole('button', { name: /^Edit Piano/ }));
    fireEvent.click(screen.getByText('Remove', { selector: '.fact-does button' }));
    await waitFor(() => expect(put(calls)).toEqual({ version: 4, assets: [{ id: 'a1', remove: true }] }));
  });

  it('fills in a field of the business’s own', async () => {
    const calls = show();
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Steps/ }));
    fireEvent.change(screen.getByLabelText('Steps'), { target: { value: '3' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Steps' }));
    await waitFor(() => expect(put(calls)).toEqual({ version: 4, custom: { steps: '3' } }));
  });

  it('is not deleted while something hangs on it, and archived instead', async () => {
    const calls = show({
      'DELETE /api/clients/c1': problem(409, 'Bryony Tesk cannot be deleted: 1 project would be without a client.'),
      'POST /api/clients/c1/archive': { ...client, archivedOn: '2026-11-25' },
    });
    fireEvent.click(await screen.findByText('Delete'));
    expect(await screen.findByText(/1 project would be without/)).toBeTruthy();
    fireEvent.click(screen.getByText('Archive'));
    await waitFor(() =>
      expect(calls.findLast((call) => call.method === 'POST')?.body).toEqual({ version: 4, archived: true }),
    );
  });
});

const view = { id: 'v1', name: 'Choirs', search: 'tag=choir', hidden: ['Email'] };

describe('the list of clients', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  const row = {
    id: 'c1',
    name: 'Bryony Tesk',
    email: null,
    phone: null,
    locality: '',
    since: '2021-03-01',
    projects: 0,
    tags: ['choir'],
    owner: null,
    archived: false,
  };

  it('is narrowed, sorted, and several are tagged at once', async () => {
    const calls = showScreen('/clients', '/clients', <ClientsScreen />, {
      'GET /api/clients': { items: [row], next: null, total: 1, counted: 1000 },
      'GET /api/lists/clients/views': { items: [view] },
      'POST /api/lists/clients/views': view,
      'GET /api/clients/tags': { items: ['choir'] },
      'GET /api/rules': {
        items: [],
        offers: { staff: [{ value: 's2', label: 'Sorcha Vell' }], services: [{ value: 'tuning', label: 'Tuning' }] },
      },
      'POST /api/clients/several': { changed: 1 },
    });
    fireEvent.change(await screen.findByLabelText('Tag'), { target: { value: 'choir' } });
    await waitFor(() => expect(calls.some((call) => call.query.get('tag') === 'choir')).toBe(true));
    fireEvent.click(screen.getByText('Open work'));
    await waitFor(() => expect(calls.some((call) => call.query.get('state') === 'open-work')).toBe(true));
    fireEvent.click(screen.getByRole('button', { name: /Last contact/ }));
    await waitFor(() => expect(calls.some((call) => call.query.get('sort') === '-contact')).toBe(true));
    fireEvent.click(screen.getByRole('button', { name: /Last contact/ }));
    await waitFor(() => expect(calls.some((call) => call.query.get('sort') === 'contact')).toBe(true));
    expect(screen.getByText('CSV').getAttribute('href')).toContain('tag=choir');
    fireEvent.click(screen.getByLabelText('Choose Bryony Tesk'));
    expect(screen.getByText('CSV').getAttribute('href')).toContain('ids=c1');
    fireEvent.change(screen.getByLabelText('Tag them'), { target: { value: 'spring' } });
    fireEvent.click(screen.getByRole('button', { name: 'Tag' }));
    expect(await screen.findByText(/1 client tagged spring/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ ids: ['c1'], tag: 'spring' });
    await waitFor(() => expect(screen.queryByText('1 client chosen')).toBeNull());
  });

  it('is narrowed further, shows other columns, and is saved under a name', async () => {
    localStorage.clear();
    const calls = showScreen('/clients', '/clients', <ClientsScreen />, {
      'GET /api/clients': { items: [row], next: null, total: 1001, counted: 1000 },
      'GET /api/lists/clients/views': { items: [view] },
      'POST /api/lists/clients/views': view,
      'GET /api/clients/tags': { items: [] },
      'GET /api/rules': { items: [], offers: { staff: [], services: [{ value: 'tuning', label: 'Tuning' }] } },
    });
    await screen.findByText('Tuning');
    fireEvent.change(screen.getByLabelText('Service', { selector: 'select' }), { target: { value: 'tuning' } });
    await waitFor(() => expect(calls.some(({ query }) => query.get('service') === 'tuning')).toBe(true));
    fireEvent.change(screen.getByLabelText('Last contact', { selector: 'select' }), {
      target: { value: 'over-a-year' },
    });
    await waitFor(() => expect(calls.some(({ query }) => query.get('contact') === 'over-a-year')).toBe(true));
    fireEvent.change(screen.getByLabelText('Place'), { target: { value: 'Marrow' } });
    await waitFor(() =>
      expect(
        calls.some(
          ({ query }) =>
            query.get('place') === 'Marrow' &&
            query.get('service') === 'tuning' &&
            query.get('contact') === 'over-a-year',
        ),
      ).toBe(true),
    );
    expect(await screen.findByText('More than 1,000 clients found')).toBeTruthy();
    expect(screen.queryByRole('columnheader', { name: 'Organisation' })).toBeNull();
    fireEvent.click(screen.getByRole('checkbox', { name: 'Organisation' }));
    expect(screen.getByRole('columnheader', { name: 'Organisation' })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Save this view' }));
    fireEvent.change(screen.getByLabelText(/Name of this view/), { target: { value: 'Quiet' } });
    fireEvent.submit(screen.getByLabelText(/Name of this view/));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
        name: 'Quiet',
        search: 'service=tuning&contact=over-a-year&place=Marrow',
        hidden: ['Client since'],
      }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Choirs' }));
    await waitFor(() => expect(calls.some(({ query }) => query.get('tag') === 'choir')).toBe(true));
    expect(screen.queryByRole('columnheader', { name: 'Email' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Clear' }));
    await waitFor(() => expect(screen.getByText('More than 1,000 clients on file')).toBeTruthy());
    localStorage.clear();
  });
});
