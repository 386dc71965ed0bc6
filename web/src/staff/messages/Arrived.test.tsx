import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import type { Schema } from '../../shared/api';
import { problem, showScreen, type Call } from '../testing/server.test-helper';
import { MessagesScreen } from './MessagesScreen';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const letter: Schema<'Incoming'> = {
  id: 'r1',
  channel: 'mail',
  origin: 'person',
  from: 'no-reply@club.example.org',
  fromName: 'Harp club',
  subject: 'Tuning',
  begins: 'What would it cost?',
  at: '2026-11-25T10:31:00+00:00',
  state: 'open',
  says: 'question',
  confidence: 96,
  because: [],
  done: [],
  client: null,
  project: null,
  answers: null,
  submission: null,
  said: 'What would it cost?',
  whole: 'What would it cost?',
  starts: [{ says: 'question', lines: ['waits here for Nessa'] }],
  answered: null,
  parts: [
    {
      name: 'buzz.m4a',
      type: 'audio/mp4',
      size: 2_400_000,
      why: 'only photographs and PDF files are put with records',
    },
    { name: 'key.png', type: 'image/png', size: 310, why: '' },
  ],
  believed: false,
  canArrive: true,
  change: null,
};
const list = { items: [letter], next: null, open: 1, standIn: false, notRead: 0 };
const failed: Schema<'Message'> = {
  id: 'm1',
  direction: 'out',
  channel: 'mail',
  kind: 'message',
  to: 'anna@wrong.example',
  toName: 'Anna Reave',
  subject: 'Your quote',
  state: 'failed',
  queuedAt: '2026-11-25T10:00:00+00:00',
  sentAt: null,
  client: null,
  from: 'Workshop <hello@example.com>',
  text: 'Shall we?',
  html: '',
  failure: '550 no such user',
  gaps: [],
  template: 'quote',
  project: null,
  submission: null,
  papers: [],
  answersTo: '',
  ground: 'serves what they ordered or booked',
  canDownload: false,
};
const posts = (calls: Call[], path: string) =>
  calls.filter((call) => call.method === 'POST' && call.path === path).map((call) => call.body);

describe('a letter that came in', () => {
  const show = (more: Record<string, unknown> = {}) =>
    showScreen('/messages/in/r1', '/messages/in/:reply', <MessagesScreen />, {
      'GET /api/messages': { items: [], next: null },
      'GET /api/replies': list,
      'GET /api/replies/r1': letter,
      ...more,
    });

  it('names every part with what became of it, and leads to the whole of it', async () => {
    show();
    const parts = within(await screen.findByRole('region', { name: 'What came with it' }));
    expect(parts.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
      'buzz.m4a2.4 MBNot kept: only photographs and PDF files are put with records.',
      'key.png1 kBKept with the record.',
    ]);
    expect(screen.getByText('The letter as it came').getAttribute('href')).toBe('/api/replies/r1/eml');
  });

  it('says where nothing shows who wrote it', async () => {
    show();
    expect(await screen.findByText(/Nothing shows that it comes from no-reply@club.example.org/)).toBeTruthy();
    cleanup();
    show({ 'GET /api/replies/r1': { ...letter, believed: true } });
    await screen.findByText('The letter as it came');
    expect(screen.queryByText(/Nothing shows that it comes from/)).toBeNull();
  });

  it('is made an arrival by hand', async () => {
    const calls = show({ 'POST /api/replies/r1/arrival': { ...letter, state: 'done', canArrive: false } });
    fireEvent.click(await screen.findByText('To the arrivals'));
    expect(await screen.findByText('It is an arrival now')).toBeTruthy();
    expect(posts(calls, '/api/replies/r1/arrival')).toHaveLength(1);
  });
});

describe('a letter that did not arrive', () => {
  const show = (more: Record<string, unknown>) =>
    showScreen('/messages/m1?state=failed', '/messages/:id?', <MessagesScreen />, {
      'GET /api/messages': { items: [failed, { ...failed, id: 'm2' }], next: null },
      'GET /api/messages/m1': failed,
      'GET /api/replies': { ...list, items: [], open: 0 },
      ...more,
    });

  it('goes to another address, which is written where it is told', async () => {
    const calls = show({ 'POST /api/messages/m1/retry': { ...failed, state: 'queued', to: 'anna@example.com' } });
    const field = await screen.findByLabelText('Send it to');
    fireEvent.change(field, { target: { value: 'anna@example.com' } });
    fireEvent.submit(field);
    await waitFor(() => expect(posts(calls, '/api/messages/m1/retry')).toEqual([{ to: 'anna@example.com' }]));
  });

  it('says beside the field what is wrong with it', async () => {
    show({ 'POST /api/messages/m1/retry': problem(422, 'No.', [{ path: 'to', message: 'Write a mail address.' }]) });
    const field = await screen.findByLabelText('Send it to');
    fireEvent.change(field, { target: { value: 'anna@' } });
    fireEvent.submit(field);
    expect(await screen.findByText('Write a mail address.')).toBeTruthy();
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect((field as HTMLInputElement).value).toBe('anna@');
  });

  it('is sent again with all the others', async () => {
    const calls = show({ 'POST /api/messages/retry-failed': { count: 2 } });
    fireEvent.click(await screen.findByText('Send all again'));
    expect(await screen.findByText('2 queued again')).toBeTruthy();
    expect(posts(calls, '/api/messages/retry-failed')).toHaveLength(1);
  });
});
