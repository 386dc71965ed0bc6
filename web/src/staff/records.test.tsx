import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schema } from '../shared/api';
import type { ReactNode } from 'react';
import { areas } from './areas';
import { ClientScreen } from './clients/ClientScreen';
import { ClientsScreen } from './clients/ClientsScreen';
import { MessagesScreen } from './messages/MessagesScreen';
import { ProjectScreen } from './projects/ProjectScreen';
import { AreasContext } from './shell/Sections';
import { problem, showScreen, standInForTheBrowser } from './testing/server.test-helper';
import { plainTask } from './testing/task.test-helper';

const client = {
  id: 'c1',
  name: 'Orla Fennick',
  email: 'orla@example.com',
  phone: null,
  locality: 'Marrowby',
  since: '2024-08-01',
  projects: 1,
  tags: [],
  owner: null,
  archived: false,
};

const message: Schema<'Message'> = {
  id: 'm1',
  direction: 'out',
  channel: 'mail',
  kind: 'confirmation',
  to: 'orla@refused.example',
  toName: 'Orla Fennick',
  subject: 'We have your inquiry',
  state: 'failed',
  queuedAt: '2026-11-25T10:00:00+00:00',
  sentAt: null,
  client: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
  from: 'Workshop <hello@example.com>',
  text: 'Hello Orla.',
  html: '',
  gaps: [],
  failure: 'The address was refused.',
  template: 'confirmation',
  project: null,
  submission: null,
  papers: [],
  answersTo: '',
  ground: 'serves what they ordered or booked',
  canDownload: true,
};

function task(position: number, state: Schema<'Task'>['state'], waitsFor: number[] = []): Schema<'Task'> {
  return {
    ...plainTask,
    id: `t${position}`,
    position,
    name: `Task ${position}`,
    state,
    assignee: 'Nessa Quarle',
    assigneeId: 's1',
    due: position === 1 ? '2026-11-20' : '2026-11-25',
    late: position === 1 && state !== 'done',
    waitsFor,
    project: { kind: 'project', id: 'p1', label: 'P-0001 Repair', path: '/projects/p1' },
    version: 3,
    finishedAt: null,
    reason: 'Onboarding',
  };
}

const project: Schema<'Project'> = {
  id: 'p1',
  number: 'P-0001',
  title: 'Repair',
  client: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
  stage: 'Visit',
  outcome: 'open',
  lead: 'Sorcha Vell',
  service: '',
  readyBy: '2026-12-25',
  tasksDone: 0,
  tasks: 2,
  openedOn: '2026-11-20',
  notes: 'It squeaks.',
  budget: '€250',
  source: '',
  closeReason: '',
  closedOn: null,
  tags: ['school'],
  custom: [{ key: 'visit', label: 'Next visit', kind: 'day', value: '2027-05-04', choices: [] }],
  wishes: [{ kind: 'appointment', text: 'Mornings' }],
  asset: {
    id: 'i1',
    description: 'Upright',
    place: 'Marrowby',
    make: 'Pell',
    model: '',
    serialNumber: '48217',
    notes: '',
    custom: [],
  },
  stages: [
    { name: 'Inquiry', state: 'done' },
    { name: 'Visit', state: 'now' },
    { name: 'Quote', state: 'later' },
  ],
  submission: { kind: 'submission', id: 'a1', label: 'A-0001 Orla Fennick', path: '/arrivals/a1' },
  version: 1,
  leadId: 's2',
};

const entry: Schema<'JournalEntry'> = {
  id: 'j1',
  at: '2026-11-25T10:30:00+00:00',
  by: 'Nessa Quarle',
  words: 'made task 1 Task 1',
  record: { kind: 'task', id: 't1', label: '1 Task 1', path: null },
  change: { id: 'h1', words: 'accepted the plan for Orla Fennick' },
  changes: [],
  submission: { kind: 'submission', id: 'a1', label: 'the submission', path: '/arrivals/a1' },
  undone: false,
};

const whole: Schema<'Client'> = {
  id: 'c1',
  version: 1,
  ownerId: null,
  name: 'Orla Fennick',
  givenName: 'Orla',
  familyName: 'Fennick',
  organisation: '',
  notes: '',
  tags: [],
  custom: [],
  contacts: [],
  address: '',
  otherAddresses: [],
  owner: null,
  since: '2024-08-01',
  contactPoints: [],
  assets: [],
  links: [],
  language: '',
  archivedOn: null,
  consents: [],
  mergedInto: null,
};

/** As the application shows it: what other areas keep of a record stands on its page. */
function withAreas(page: ReactNode) {
  return <AreasContext value={areas}>{page}</AreasContext>;
}

describe('records', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('Clients lists, and finds what is typed', async () => {
    const calls = showScreen('/clients', '/clients', <ClientsScreen />, {
      'GET /api/clients': { items: [client], next: null, total: 1, counted: 1000 },
      'GET /api/clients?q=zz': { items: [], next: null, total: 0, counted: 1000 },
    });
    expect((await screen.findByRole('link', { name: 'Orla Fennick' })).getAttribute('href')).toBe('/clients/c1');
    expect(screen.getByText('1 client on file')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Name, email or phone'), { target: { value: 'zz' } });
    expect(await screen.findByText('Nobody fits.')).toBeTruthy();
    expect(calls.some((call) => call.path === '/api/clients?q=zz')).toBe(true);
  });

  it('Clients walks with J and K', async () => {
    showScreen('/clients', '/clients', <ClientsScreen />, {
      'GET /api/clients': {
        items: [client, { ...client, id: 'c2', name: 'Wilf Ambry' }],
        next: null,
        total: 2,
        counted: 1000,
      },
    });
    await screen.findByRole('link', { name: 'Wilf Ambry' });
    fireEvent.keyDown(window, { key: 'ArrowDown', code: 'ArrowDown' });
    expect(document.activeElement?.textContent).toBe('Orla Fennick');
    fireEvent.keyDown(window, { key: 'ArrowDown', code: 'ArrowDown' });
    expect(document.activeElement?.textContent).toBe('Wilf Ambry');
    fireEvent.keyDown(window, { key: 'ArrowUp', code: 'ArrowUp' });
    expect(document.activeElement?.textContent).toBe('Orla Fennick');
  });

  it('Messages tells why one was not sent, and sends it again', async () => {
    const calls = showScreen('/messages/m1', '/messages/:id?', <MessagesScreen />, {
      'GET /api/messages': { items: [message], next: null },
      'GET /api/messages/m1': message,
      'POST /api/messages/m1/retry': { ...message, state: 'queued' },
    });
    expect(await screen.findByText(/The address was refused\./)).toBeTruthy();
    expect(screen.getByText('Hello Orla.')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('Queued again')).toBeTruthy();
    expect(calls.some((call) => call.method === 'POST' && call.path === '/api/messages/m1/retry')).toBe(true);
  });

  it('Messages says when there are none', async () => {
    showScreen('/messages', '/messages/:id?', <MessagesScreen />, { 'GET /api/messages': { items: [], next: null } });
    expect(await screen.findByText('No messages here.')).toBeTruthy();
  });

  it('a project shows its stages, tasks in order, papers and journal', async () => {
    showScreen('/projects/p1', '/projects/:id', withAreas(<ProjectScreen />), {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [task(1, 'to-do'), task(2, 'waiting', [1])], next: null },
      'GET /api/journal': { items: [entry], next: null },
      'GET /api/files?project=p1': {
        items: [
          {
            id: 'f1',
            name: 'report.pdf',
            note: '',
            forOffice: false,
            size: 2048,
            type: 'application/pdf',
            isImage: false,
          },
        ],
      },
      'GET /api/messages?project=p1': { items: [], next: null },
    });
    expect(await screen.findByText('Task 2')).toBeTruthy();
    expect(screen.getByText('Visit, now')).toBeTruthy();
    expect(screen.getByText('after 1')).toBeTruthy();
    expect(screen.getByText('since 20 Nov')).toBeTruthy();
    expect(screen.getByText('in 30 days', { exact: false })).toBeTruthy();
    fireEvent.click(await screen.findByRole('button', { name: 'report.pdf' }));
    expect(await screen.findByText('report.pdf, 2 kB')).toBeTruthy();
    expect(screen.getByText('Save it')).toBeTruthy();
    expect(await screen.findByText(/accepted the plan for Orla Fennick/)).toBeTruthy();
  });

  it('a client’s page asks each area for its own list', async () => {
    showScreen('/clients/c1', '/clients/:id', withAreas(<ClientScreen />), {
      'GET /api/clients/c1': whole,
      'GET /api/projects?client=c1': { items: [{ ...project, tasksDone: 1 }], next: null, stages: [] },
      'GET /api/messages?client=c1': { items: [], next: null },
      'GET /api/files?client=c1': { items: [] },
      'GET /api/submissions?client=c1': () => problem(503, 'Not now.'),
      'GET /api/journal': { items: [], next: null },
    });
    expect((await screen.findByRole('link', { name: 'Repair' })).getAttribute('href')).toBe('/projects/p1');
    expect(screen.getByText('1 under way')).toBeTruthy();
    expect(await screen.findByText('Nothing has been sent yet.')).toBeTruthy();
    expect(await screen.findByText(/None yet. Photographs sent with a form land here./)).toBeTruthy();
    expect(await screen.findByText('Not now.')).toBeTruthy();
    expect(screen.getByRole('heading', { name: 'Orla Fennick' })).toBeTruthy();
  });

  it('a task is finished as it was seen', async () => {
    const calls = showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [task(1, 'to-do'), task(2, 'waiting', [1])], next: null },
      'GET /api/journal': { items: [], next: null },
      'POST /api/tasks/t1/finish': task(1, 'done'),
    });
    await screen.findByText('Finish task 1');
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText(/Task 1 finished/)).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/tasks/t1/finish')?.body).toEqual({ version: 3 });
  });

  it('a task that somebody else changed is said', async () => {
    showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [task(1, 'to-do')], next: null },
      'GET /api/journal': { items: [], next: null },
      'POST /api/tasks/t1/finish': () => problem(409, 'Somebody else changed this.'),
    });
    await screen.findByText('Finish task 1');
    fireEvent.click(screen.getByText('Finish task 1'));
    expect(await screen.findByText('Somebody else changed this.')).toBeTruthy();
  });

  it('a project that is not there is said', async () => {
    showScreen('/projects/zz', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/zz': () => problem(404, 'No.'),
    });
    await waitFor(() => expect(screen.getByText('There is no such project')).toBeTruthy());
  });

  it('a project’s facts are edited where they stand', async () => {
    const calls = showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [], next: null },
      'GET /api/journal': { items: [], next: null },
      'GET /api/rules': { items: [], offers: { staff: [{ value: 's3', label: 'Teo Ashbrand' }] } },
      'PUT /api/projects/p1': { ...project, version: 2, lead: 'Teo Ashbrand', leadId: 's3' },
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Edit Led by/ }));
    expect(await screen.findByRole('option', { name: 'Teo Ashbrand' })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Led by'), { target: { value: 's3' } });
    fireEvent.submit(screen.getByRole('form', { name: 'Edit Led by' }));
    expect(await screen.findByText(/Led by saved/)).toBeTruthy();
    expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({ version: 1, lead: 's3' });
  });

  it('a fact that is open has the main key to itself', async () => {
    const calls = showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [task(1, 'to-do')], next: null },
      'GET /api/journal': { items: [], next: null },
      'PUT /api/projects/p1': project,
      'POST /api/tasks/t1/finish': task(1, 'done'),
    });
    await screen.findByText('Finish task 1');
    fireEvent.click(screen.getByRole('button', { name: /^Edit Notes/ }));
    fireEvent.keyDown(screen.getByLabelText('Notes'), { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText(/Notes saved/)).toBeTruthy();
    // Looking at what finishing would move is no finishing.
    expect(calls.filter((call) => call.method === 'POST' && !call.path.endsWith('/follows'))).toEqual([]);
  });

  it('a project is moved to another stage, as it was seen', async () => {
    const calls = showScreen('/projects/p1', '/projects/:id', <ProjectScreen />, {
      'GET /api/projects/p1': project,
      'GET /api/tasks': { items: [], next: null },
      'GET /api/journal': { items: [], next: null },
      'POST /api/projects/p1/stage': { ...project, stage: 'Inquiry' },
    });
    fireEvent.click(await screen.findByRole('button', { name: /Move to Inquiry/ }));
    expect(await screen.findByText(/stands at Inquiry/)).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/projects/p1/stage')?.body).toEqual({
      stage: 'Inquiry',
      version: project.version,
    });
  });
});
