import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import type { Setup } from './queries';
import { SetupScreen } from './SetupScreen';

const setup: Setup = {
  business: {
    name: 'Curl & Comb',
    email: 'hello@curl.example',
    phone: '',
    address: '',
    region: 'IE',
    timeZone: 'Europe/Dublin',
    currency: 'EUR',
    assetWord: 'chair',
    vatNumber: '',
    accent: '',
    signature: '',
    replyThreshold: 95,
    mailServer: '',
    quietFrom: '20:00',
    quietUntil: '08:00',
    quietDays: 'sundays',
    mailsAnHour: 0,
    logo: null,
    projects: 3,
  },
  hours: [1, 2, 3, 4, 5, 6, 7].map((day) => ({ day, spans: day < 6 ? [{ from: '09:00', to: '17:00' }] : [] })),
  hoursText: 'Mon to Fri, 9 to 5',
  closures: [{ id: 'c1', day: '2026-12-25', name: 'Christmas' }],
  roles: [
    { value: 'owner', label: 'owner', says: 'everything', approver: 'an owner' },
    { value: 'field', label: 'field staff', says: 'their own work', approver: 'field staff' },
  ],
  staff: [
    {
      id: 's1',
      name: 'Nessa Quarle',
      email: 'nessa@curl.example',
      initials: 'NQ',
      role: 'owner',
      roleName: 'owner',
      active: true,
      you: true,
      hours: [],
      hoursText: '',
      zone: '',
      absences: [],
      holds: [],
    },
    {
      id: 's2',
      name: 'Una Merrow',
      email: 'una@curl.example',
      initials: 'UM',
      role: 'field',
      roleName: 'field staff',
      active: true,
      you: false,
      hours: [],
      hoursText: '',
      zone: '',
      absences: [],
      holds: [{ what: '4 open tasks', count: 4 }],
    },
  ],
  services: [
    {
      id: 'v1',
      key: 'cut',
      name: 'Cut',
      leadId: 's2',
      lead: 'Una Merrow',
      words: '',
      led: 'named',
      among: [],
      promise: null,
      checklistId: null,
      checklist: null,
      retired: false,
      careTask: '',
      careMonths: null,
      careWeek: null,
    },
  ],
  checklists: [{ value: 'l1', label: 'Colour' }],
  stages: [
    { id: 'g1', name: 'Asked', position: 1, ends: 'open', days: 3, needs: [], projects: 2 },
    { id: 'g2', name: 'Done', position: 2, ends: 'won', days: null, needs: [], projects: 0 },
  ],
  stageNeeds: [],
  sources: [],
  asideReasons: [],
  tags: [],
  lostReasons: [],
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

const lastPut = (calls: { method: string; body: unknown }[]) => calls.findLast((call) => call.method === 'PUT')?.body;

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
    fireEvent.click(screen.getByText('Add'));
    expect(await screen.findByText('There is a field “Floor” already.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Floor');
    refuse = false;
    fireEvent.click(screen.getByText('Add'));
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
    await waitFor(() => expect(lastPut(calls)).toEqual({ label: 'Floor', choices: [], retired: true }));
    fireEvent.click(screen.getByRole('button', { name: 'Bring back Room' }));
    await waitFor(() => expect(lastPut(calls)).toEqual({ label: 'Room', choices: ['Hall'], retired: false }));
    fireEvent.click(screen.getByRole('button', { name: 'Edit Floor' }));
    const name = screen.getAllByLabelText('Name')[0];
    if (name) fireEvent.change(name, { target: { value: 'Storey' } });
    fireEvent.click(screen.getByText('Save'));
    await waitFor(() => expect(lastPut(calls)).toEqual({ label: 'Storey', choices: [''], retired: false }));
  });

  it('saves one fact of the business alone', async () => {
    const calls = show({ 'PUT /api/setup/business': { ...setup, business: { ...setup.business, name: 'Comb' } } });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Name/ }));
    fireEvent.change(screen.getByLabelText('Name', { selector: '.fact-edit input' }), { target: { value: 'Comb' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Name' }));
    expect(await screen.findByText(/Name saved/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ name: 'Comb' });
  });

  it('keeps how submissions are taken', async () => {
    const calls = show({ 'PUT /api/setup/intake': { ...setup, unfinishedMinutes: 45 } });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Did not finish/ }));
    fireEvent.change(screen.getByLabelText(/so many minutes/), { target: { value: '45' } });
    fireEvent.submit(screen.getByRole('form', { name: /Did not finish/ }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        shortensAddresses: true,
        unfinishedMinutes: 45,
      }),
    );
  });

  it('keeps how people are matched, and says what cannot be beside its field', async () => {
    const calls = show({
      'PUT /api/setup/matching': () =>
        problem(422, 'Wrong', [{ path: 'perhapsFrom', message: 'This lies below the other.' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Ask/ }));
    fireEvent.change(screen.getByLabelText(/Ask at so many/), { target: { value: '95' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Ask' }));
    expect(await screen.findByText('This lies below the other.')).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ sameFrom: 90, perhapsFrom: 95, againDays: 30 });
  });

  it('joins equal days, and takes one of them apart', async () => {
    const calls = show({ 'PUT /api/setup/hours': setup });
    fireEvent.click(await screen.findByRole('button', { name: /Edit hours,\s*Mon to Fri/ }));
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '5' } });
    fireEvent.change(screen.getByLabelText('Open', { selector: 'input' }), { target: { value: 'whenever' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Hours' }));
    expect(await screen.findByText('Write it like 09:00 to 17:30.')).toBeTruthy();
    expect(calls.some((call) => call.method === 'PUT')).toBe(false);
    fireEvent.change(screen.getByLabelText('Open', { selector: 'input' }), {
      target: { value: '9 to 12:30, 13.30-20' },
    });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Hours' }));
    await waitFor(() => expect(calls.some((call) => call.method === 'PUT')).toBe(true));
    const sent = calls.find((call) => call.method === 'PUT')?.body as { hours: Setup['hours'] };
    expect(sent.hours[3]?.spans).toEqual([{ from: '09:00', to: '17:00' }]);
    expect(sent.hours[4]?.spans).toEqual([
      { from: '09:00', to: '12:30' },
      { from: '13:30', to: '20:00' },
    ]);
  });

  it('shows a password once, to whoever added somebody', async () => {
    const calls = show({
      'POST /api/setup/staff': { setup, password: 'abcde-fghij', email: 'ida@curl.example' },
    });
    fireEvent.click(await screen.findByText('Add person'));
    fireEvent.change(screen.getByLabelText('Name', { selector: '.fact-edit input' }), {
      target: { value: 'Ida Tesk' },
    });
    fireEvent.change(screen.getByLabelText(/to sign in with/), { target: { value: 'ida@curl.example' } });
    fireEvent.change(screen.getByLabelText('Password'), { target: { value: 'shown' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Add person' }));
    expect(await screen.findByText('abcde-fghij')).toBeTruthy();
    expect(calls.find((call) => call.method === 'POST')?.body).toEqual({
      name: 'Ida Tesk',
      email: 'ida@curl.example',
      role: 'field',
      invite: false,
    });
    fireEvent.click(screen.getByRole('button', { name: 'Done' }));
    expect(screen.queryByText('abcde-fghij')).toBeNull();
  });

  it('asks who takes over before somebody leaves', async () => {
    const calls = show({ 'POST /api/setup/staff/s2/leaving': setup });
    fireEvent.click(await screen.findByRole('button', { name: /^Una Merrow/ }));
    expect(screen.getByText('4 open tasks', { selector: 'b' })).toBeTruthy();
    fireEvent.click(screen.getByText('Una Merrow leaves…'));
    fireEvent.click(screen.getByText('Hand over'));
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ handTo: 's1' }));
  });

  it('asks where the projects of a stage go before it is removed', async () => {
    const calls = show({ 'DELETE /api/setup/stages/g1': setup });
    fireEvent.click(await screen.findByRole('button', { name: /^Asked/ }));
    expect(screen.getByText('2 projects stand in it.')).toBeTruthy();
    fireEvent.click(screen.getByText('Remove…'));
    expect(screen.getByLabelText<HTMLSelectElement>('Its 2 projects go to').value).toBe('g2');
    fireEvent.submit(screen.getByRole('form', { name: /Remove this stage/ }));
    await waitFor(() => expect(calls.some((call) => call.path === '/api/setup/stages/g1?to=g2')).toBe(true));
  });

  it('counts where a word stands, and leaves every row in its place', async () => {
    vi.stubGlobal('Highlight', Set);
    show();
    await screen.findByText('Of a client');
    fireEvent.change(screen.getByLabelText('Find a setting'), { target: { value: 'una' } });
    expect(await screen.findByText(/2 in 2 sections/)).toBeTruthy();
    expect(screen.getAllByRole('button', { name: /Business/ }).length).toBeGreaterThan(0);
    fireEvent.keyDown(screen.getByLabelText('Find a setting'), { key: 'Escape' });
    expect(screen.queryByText(/in 2 sections/)).toBeNull();
  });

  it('has a service go by turns, of those who are ticked, in that order', async () => {
    const calls = show({ 'PUT /api/setup/services/v1': setup });
    fireEvent.click(await screen.findByRole('button', { name: /^Cut/ }));
    fireEvent.click(screen.getByRole('button', { name: /^Edit Led by/ }));
    fireEvent.change(screen.getByLabelText('A new project goes to'), { target: { value: 'turns' } });
    const people = screen.getAllByRole('checkbox');
    fireEvent.click(people[1] as HTMLElement);
    fireEvent.click(people[0] as HTMLElement);
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Led by' }));
    await waitFor(() => expect(lastPut(calls)).toMatchObject({ led: 'turns', among: ['s2', 's1'] }));
  });

  it('takes hours of somebody’s own, and says which day it cannot read', async () => {
    const calls = show({ 'PUT /api/setup/staff/s2': setup });
    fireEvent.click(await screen.findByRole('button', { name: /^Una Merrow/ }));
    fireEvent.click(screen.getByRole('button', { name: /^Edit Works/ }));
    fireEvent.change(screen.getByLabelText('Works'), { target: { value: 'own' } });
    fireEvent.change(screen.getByLabelText('Tuesday'), { target: { value: 'mornings' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Works' }));
    expect(await screen.findByText('Write it like 09:00 to 17:30.')).toBeTruthy();
    expect(screen.getByLabelText('Tuesday').getAttribute('aria-invalid')).toBe('true');
    fireEvent.change(screen.getByLabelText('Tuesday'), { target: { value: '9 to 13' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Works' }));
    await waitFor(() =>
      expect((lastPut(calls) as { hours: unknown[] }).hours[1]).toEqual({
        day: 2,
        spans: [{ from: '09:00', to: '13:00' }],
      }),
    );
  });

  it('adds an absence and removes one', async () => {
    const away = { id: 'w1', first: '2027-03-01', last: '2027-03-05', note: 'Course' };
    const calls = show({
      'GET /api/setup': { ...setup, staff: setup.staff.map((one) => ({ ...one, absences: [away] })) },
      'POST /api/setup/staff/s2/absences': setup,
      'DELETE /api/setup/staff/s2/absences/w1': setup,
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Una Merrow/ }));
    fireEvent.click(screen.getByText('Add absence'));
    fireEvent.change(screen.getByLabelText('First day'), { target: { value: '2027-04-01' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Absence' }));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ first: '2027-04-01', last: '', note: '' }),
    );
  });

  it('renames a tag, and removes one', async () => {
    const calls = show({
      'GET /api/setup': { ...setup, tags: [{ tag: 'choir', clients: 2, projects: 1 }] },
      'PUT /api/setup/tags': setup,
      'DELETE /api/setup/tags?tag=choir': setup,
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit choir/ }));
    fireEvent.change(screen.getByLabelText('Tag'), { target: { value: 'singers' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit choir' }));
    await waitFor(() => expect(lastPut(calls)).toEqual({ tag: 'choir', to: 'singers' }));
  });

  it('says why a colour is not taken', async () => {
    show({
      'PUT /api/setup/business': () =>
        problem(422, 'Not so', [{ path: 'accent', message: 'It is too light to read.' }]),
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Colour/ }));
    fireEvent.change(screen.getByLabelText('Colour of links and buttons'), { target: { value: '#FFCC00' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Colour' }));
    expect(await screen.findByText('It is too light to read.')).toBeTruthy();
  });
});
