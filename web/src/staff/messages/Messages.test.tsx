import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Schema } from '../../shared/api';
import { problem, showScreen, type Call, ways } from '../testing/server.test-helper';
import { FollowUpsScreen } from './followups/FollowUpsScreen';
import { MessagesScreen } from './MessagesScreen';
import { NoticesScreen } from './notices/NoticesScreen';
import { WriteScreen } from './WriteScreen';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const row: Schema<'IncomingRow'> = {
  id: 'r1',
  channel: 'mail',
  origin: 'person',
  from: 'hugh@example.com',
  fromName: 'Hugh Orrin',
  subject: 'Re: Your quote',
  begins: 'Grand, go ahead. Any day but the Friday.',
  at: '2026-11-25T10:31:00+00:00',
  state: 'open',
  says: 'yes',
  confidence: 86,
  because: ['go ahead'],
  done: [],
  client: { kind: 'client', id: 'c1', label: 'Hugh Orrin', path: '/clients/c1' },
  project: null,
  answers: null,
  submission: null,
};
const reply: Schema<'Incoming'> = {
  ...row,
  said: 'Grand, go ahead. Any day but the Friday.',
  whole: 'Grand, go ahead. Any day but the Friday.\n> Shall we?',
  starts: [
    { says: 'yes', lines: ['sends Hugh Orrin the way to accept Q-0227', 'ends the nudges'] },
    { says: 'later', lines: ['gives Sorcha a task, due in 30 days'] },
  ],
  answered: null,
  parts: [],
  believed: true,
  canArrive: false,
  change: null,
};
const list = { items: [row], next: null, open: 1, standIn: true, notRead: 1 };
const held: Schema<'Message'> = {
  id: 'm1',
  direction: 'out',
  channel: 'mail',
  kind: 'message',
  to: 'anna@example.com',
  toName: 'Anna Reave',
  subject: 'Your quote',
  state: 'held',
  queuedAt: '2026-11-25T10:00:00+00:00',
  sentAt: null,
  client: null,
  from: 'Workshop <hello@example.com>',
  text: 'Shall we keep  for you?',
  html: '<p>Shall we keep <a href="javascript:alert(1)">x</a> for you?</p>',
  failure: 'Nothing to fill in: offered day.',
  gaps: [{ name: 'day', label: 'offered day', example: 'Friday' }],
  template: 'nudge',
  project: null,
  submission: null,
  papers: [],
  answersTo: '',
  ground: 'serves what they ordered or booked',
  canDownload: true,
};

const posted = (calls: Call[], path: string) => calls.filter((call) => call.method !== 'GET' && call.path === path);

describe('what came in', () => {
  it('is read by keys: what each meaning starts stands under it, and two presses are one', async () => {
    const calls = showScreen('/messages/in/r1', '/messages/in/:reply', <MessagesScreen />, {
      'GET /api/messages': { items: [], next: null },
      'GET /api/replies': list,
      'GET /api/replies/r1': reply,
      'POST /api/replies/r1/decide': {
        ...reply,
        state: 'done',
        says: 'later',
        starts: [],
        done: ['gives Sorcha a task'],
      },
    });
    const decision = await screen.findByRole('region', { name: 'What it means' });
    expect(within(decision).getByText('Is this a yes?')).toBeTruthy();
    expect(within(decision).getByText('“go ahead”')).toBeTruthy();
    expect(within(decision).getByText('sends Hugh Orrin the way to accept Q-0227')).toBeTruthy();
    fireEvent.keyDown(window, { key: '3', code: 'Digit3' });
    expect(await within(decision).findByText('gives Sorcha a task, due in 30 days')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('Read as later. U takes it back.')).toBeTruthy();
    expect(posted(calls, '/api/replies/r1/decide').map((call) => call.body)).toEqual([{ says: 'later' }]);
  });

  it('says so when somebody else was quicker', async () => {
    showScreen('/messages/in/r1', '/messages/in/:reply', <MessagesScreen />, {
      'GET /api/messages': { items: [], next: null },
      'GET /api/replies': list,
      'GET /api/replies/r1': reply,
      'POST /api/replies/r1/decide': problem(409, 'Somebody has decided.'),
    });
    await screen.findByRole('region', { name: 'What it means' });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('Somebody has decided.')).toBeTruthy();
  });
});

describe('a letter that waits', () => {
  it('asks what stands where nothing could be filled in', async () => {
    const calls = showScreen('/messages/m1', '/messages/:id?', <MessagesScreen />, {
      'GET /api/messages': { items: [held], next: null },
      'GET /api/replies': { items: [], next: null, open: 0, standIn: false },
      'GET /api/messages/m1': held,
      'POST /api/messages/m1/fill': { ...held, state: 'queued', gaps: [] },
    });
    const form = await screen.findByRole('form', { name: 'Fill the gap' });
    const send = within(form).getByText('Fill in and send');
    expect((send as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(within(form).getByLabelText('offered day'), { target: { value: 'Monday' } });
    fireEvent.click(send);
    fireEvent.click(send);
    await screen.findByText('On its way to Anna Reave');
    expect(posted(calls, '/api/messages/m1/fill').map((call) => call.body)).toEqual([{ words: { day: 'Monday' } }]);
  });
});

describe('a letter by hand', () => {
  it('is kept as it is typed, sent once, and says what is wrong beside its field', async () => {
    let tries = 0;
    const calls = showScreen('/messages/write?answers=r1', '/messages/write', <WriteScreen />, {
      'GET /api/templates': { items: [] },
      'GET /api/replies/r1': reply,
    });
    expect(await screen.findByDisplayValue('hugh@example.com')).toBeTruthy();
    expect(screen.getByDisplayValue('Re: Your quote')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'We come on Monday.' } });
    tries += 1;
    expect(localStorage.getItem('telamon.unsaved.write.r1')).toContain('We come on Monday.');
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(tries));
    expect(calls.find((call) => call.method === 'PUT')?.path).toMatch(/^\/api\/messages\/[0-9a-f-]{36}$/);
  });
});

describe('a text message by hand', () => {
  it('goes to their number, without a subject, and says how long it is', async () => {
    const calls = showScreen('/messages/write?client=c1', '/messages/write', <WriteScreen />, {
      'GET /api/templates': { items: [] },
      'GET /api/files': { items: [] },
      'GET /api/messages': { items: [], next: null },
      'GET /api/clients/c1': { name: 'Orla Fennick', contactPoints: [] },
      'GET /api/messages/ways': {
        items: ways.map((one) => ({ ...one, to: one.value === 'mail' ? 'orla@example.com' : '020 914 3327' })),
      },
      'POST /api/messages/length': { places: 23, parts: 1, left: 137, wide: [] },
    });
    expect(await screen.findByDisplayValue('orla@example.com')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Subject'), { target: { value: 'Thursday' } });
    fireEvent.change(screen.getByLabelText('As'), { target: { value: 'text' } });
    expect(screen.getByDisplayValue('020 914 3327')).toBeTruthy();
    expect(screen.queryByLabelText('Subject')).toBeNull();
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'We come at ten, really.' } });
    expect(await screen.findByText('23 GSM-7 places, 1 part, 137 left')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toEqual({
        channel: 'text',
        to: '020 914 3327',
        text: 'We come at ten, really.',
        client: 'c1',
        project: '',
        submission: '',
        answers: '',
      }),
    );
    // As a letter again: nothing that was typed is gone.
    fireEvent.change(screen.getByLabelText('As'), { target: { value: 'mail' } });
    expect(screen.getByDisplayValue('orla@example.com')).toBeTruthy();
    expect(screen.getByDisplayValue('Thursday')).toBeTruthy();
  });
});

describe('a letter whose reader is still looked up', () => {
  it('is not sent to nobody', async () => {
    let letGo: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => (letGo = resolve));
    localStorage.setItem('telamon.unsaved.write.r2', JSON.stringify({ id: 'l2', text: 'We come.', subject: 'Monday' }));
    const calls = showScreen('/messages/write?answers=r2', '/messages/write', <WriteScreen />, {
      'GET /api/templates': { items: [] },
      'GET /api/replies/r2': async () => {
        await gate;
        return reply;
      },
    });
    const send = () => fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await screen.findByDisplayValue('We come.');
    send();
    letGo();
    await screen.findByDisplayValue('hugh@example.com');
    expect(calls.filter((call) => call.method === 'PUT')).toEqual([]);
    send();
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({ to: 'hugh@example.com' }),
    );
  });
});

describe('a letter that another window has sent', () => {
  it('is kept, and goes as a letter of its own when it is sent once more', async () => {
    localStorage.setItem('telamon.unsaved.write.r1', JSON.stringify({ id: 'l1', text: 'We come on Monday.' }));
    const calls = showScreen('/messages/write?answers=r1', '/messages/write', <WriteScreen />, {
      'GET /api/templates': { items: [] },
      'GET /api/replies/r1': reply,
      'PUT /api/messages/l1': problem(409, 'This letter has been sent already, with other words.'),
    });
    await screen.findByDisplayValue('hugh@example.com');
    const put = () => calls.filter((call) => call.method === 'PUT');
    const send = () => fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    send();
    expect(await screen.findByText(/sent already, with other words/)).toBeTruthy();
    expect(screen.getByDisplayValue('We come on Monday.')).toBeTruthy();
    send();
    await waitFor(() => expect(put()).toHaveLength(2));
    expect(put()[1]?.path).not.toBe(put()[0]?.path);
  });
});

describe('a template over a letter by hand', () => {
  it('gives back what it took the place of, and says when it could not be had', async () => {
    let fails = true;
    const calls = showScreen('/messages/write?answers=r1', '/messages/write', <WriteScreen />, {
      'GET /api/templates': {
        items: [{ id: 't1', key: 'x', name: 'Ready', purpose: 'client', retired: false, sent: 0, sentWhen: '' }],
      },
      'POST /api/templates/t1/by-hand': () =>
        fails
          ? problem(503, 'The office cannot be reached.')
          : {
              subject: 'Your piano',
              text: 'It is ready by [ready by].',
              document: { type: 'doc', content: [] },
              textMessage: '',
              places: ['[ready by]'],
              papers: [
                { paper: 'quote', name: 'their quote' },
                { paper: 'visit', name: 'their next visit' },
              ],
            },
      'GET /api/replies/r1': reply,
    });
    await screen.findByDisplayValue('hugh@example.com');
    await screen.findByText('Ready');
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'We come on Monday.' } });
    const choose = () => fireEvent.change(screen.getByLabelText('From a template'), { target: { value: 't1' } });
    choose();
    expect(await screen.findByText('The office cannot be reached.')).toBeTruthy();
    expect(screen.getByDisplayValue('We come on Monday.')).toBeTruthy();
    fails = false;
    choose();
    expect(await screen.findByDisplayValue('It is ready by [ready by].')).toBeTruthy();
    expect(screen.getByText('Still to be written: [ready by]')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'It is ready by Friday.' } });
    expect(screen.queryByText(/Still to be written/)).toBeNull();
    // What the template sends along stands there, each to be left out.
    fireEvent.click(screen.getByLabelText('their quote'));
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({ template: 't1', papers: ['visit'] }),
    );
    expect(await screen.findByText(/What you wrote is kept/)).toBeTruthy();
    fireEvent.click(screen.getByText('Put mine back'));
    expect(screen.getByDisplayValue('We come on Monday.')).toBeTruthy();
    expect(screen.queryByText('their quote')).toBeNull();
  });
});

const series: Schema<'FollowUp'> = {
  id: 'f1',
  key: 'first',
  name: 'First answer',
  on: true,
  version: 1,
  inside: 1,
  courses: {
    main: [
      { key: 'send-1', kind: 'send', what: 'first' },
      { key: 'wait-1', kind: 'wait', amount: 2, unit: 'days', at: '' },
      { key: 'send-2', kind: 'send', what: 'first' },
    ],
  },
  runs: [],
  curve: { cases: 3, points: [{ days: 1.5, left: 0.6667 }] },
  figures: [
    {
      key: 'send-1',
      done: 3,
      answered: 1,
      booked: 0,
      forms: 0,
      curve: { cases: 3, points: [{ days: 1.5, left: 0.6667 }] },
      people: [
        {
          run: 'g1',
          client: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
          outcome: 'answered',
        },
      ],
    },
  ],
};

describe('a follow-up', () => {
  it('shows its steps in words, and what is wrong where it stands', async () => {
    const calls = showScreen('/messages/follow-ups/f1', '/messages/follow-ups/:id?', <FollowUpsScreen />, {
      'GET /api/follow-ups': {
        items: [series],
        templates: [{ value: 'first', label: 'We have it' }],
        pages: [],
        stages: [],
        courses: [],
      },
      'GET /api/follow-ups/f1': series,
      'POST /api/follow-ups/try': {
        acts: [{ at: '2026-11-25T10:42:00+00:00', key: 'send-1', kind: 'send', what: 'first', course: 'main' }],
      },
      'PUT /api/follow-ups/f1': problem(422, 'No.', [{ path: 'courses.main.1.amount', message: 'Write how long.' }]),
    });
    fireEvent.click(await screen.findByText('3 sent, 1 wrote back'));
    expect(screen.getByRole('link', { name: 'Orla Fennick' }).getAttribute('href')).toBe('/clients/c1');
    expect(screen.getByText('and 2 more')).toBeTruthy();
    fireEvent.click(screen.getByText('2 days'));
    fireEvent.change(screen.getByLabelText('How long'), { target: { value: '0' } });
    expect(screen.getByText(/1 inside keeps the version/)).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('Write how long.')).toBeTruthy();
    expect(posted(calls, '/api/follow-ups/f1')).toHaveLength(1);
  });
});

describe('a draft with versions', () => {
  const show = (put: (body: unknown) => object | Promise<object>, kept: () => Schema<'FollowUp'>) =>
    showScreen('/messages/follow-ups/f1', '/messages/follow-ups/:id?', <FollowUpsScreen />, {
      'GET /api/follow-ups': () => ({ items: [kept()], templates: [], pages: [], stages: [], courses: [] }),
      'GET /api/follow-ups/f1': kept,
      'POST /api/follow-ups/try': { acts: [] },
      'PUT /api/follow-ups/f1': put,
      'POST /api/follow-ups/f1/switch': kept,
    });
  const rename = async (name: string) =>
    fireEvent.change(await screen.findByLabelText('Name'), { target: { value: name } });
  const save = () => fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });

  it('keeps what is typed while it is being saved', async () => {
    let kept = series;
    let letGo: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => (letGo = resolve));
    const calls = show(
      async () => {
        await gate;
        kept = { ...series, name: 'First', version: 2 };
        return kept;
      },
      () => kept,
    );
    await rename('First');
    save();
    await waitFor(() => expect(posted(calls, '/api/follow-ups/f1')).toHaveLength(1));
    await rename('First and more');
    letGo();
    expect(await screen.findByText(/version 2, not saved/)).toBeTruthy();
    expect(screen.getByDisplayValue('First and more')).toBeTruthy();
    save();
    await waitFor(() => expect(posted(calls, '/api/follow-ups/f1')).toHaveLength(2));
    expect(posted(calls, '/api/follow-ups/f1')[1]?.body).toMatchObject({ version: 2, name: 'First and more' });
  });

  it('does not overwrite unseen what somebody else saved meanwhile', async () => {
    let kept = series;
    const calls = show(
      () => kept,
      () => kept,
    );
    await rename('Mine');
    kept = { ...series, name: 'Theirs', version: 2 };
    // Anything that is done asks again for what stands there now.
    fireEvent.click(screen.getByText('Switch off'));
    expect(await screen.findByText('Somebody else saved it meanwhile')).toBeTruthy();
    save();
    expect(posted(calls, '/api/follow-ups/f1')).toHaveLength(0);
    fireEvent.click(screen.getByText(/Keep mine/));
    save();
    await waitFor(() => expect(posted(calls, '/api/follow-ups/f1')).toHaveLength(1));
    expect(posted(calls, '/api/follow-ups/f1')[0]?.body).toMatchObject({ version: 2, name: 'Mine' });
  });
});

const notice: Schema<'Notice'> = {
  id: 'n1',
  room: { id: 'k1', name: 'Desk' },
  words: 'Collect <b>three</b> uprights',
  by: 'Schools are told early',
  at: '2026-11-25T09:00:00+00:00',
  seen: false,
  seenBy: ['Pim Tarrow'],
  of: 2,
  holder: '',
  client: null,
  project: { kind: 'project', id: 'p1', label: 'P-0001 Tuning', path: '/projects/p1' },
  submission: null,
};

describe('the notice board', () => {
  it('shows what is not seen, by whom, and takes all as seen', async () => {
    const calls = showScreen('/messages/notices', '/messages/notices/:id?', <NoticesScreen />, {
      'GET /api/notice-rooms': {
        items: [{ id: 'k1', key: 'desk', name: 'Desk', about: '', closed: false, members: [], unseen: 1 }],
        staff: [],
      },
      'GET /api/notices': { items: [notice], next: null },
      'POST /api/notices/seen': () => new Response(null, { status: 204 }),
    });
    expect(await screen.findByText('Not seen by you, 1')).toBeTruthy();
    expect(screen.getAllByText(/Collect <b>three<\/b> uprights/).length).toBeGreaterThan(0);
    expect(screen.getByText('seen by Pim')).toBeTruthy();
    fireEvent.click(screen.getByText('All seen'));
    await waitFor(() =>
      expect(posted(calls, '/api/notices/seen').map((call) => call.body)).toEqual([{ notices: ['n1'] }]),
    );
  });
});
