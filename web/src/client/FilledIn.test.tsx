import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FilledIn } from './FilledIn';
import type { PublicForm } from '../form/types';
import { question } from '../form/testing/question.test-helper';

const form: PublicForm = {
  slug: 'inquiry',
  title: 'Write to us',
  intro: '',
  privacy: '',
  steps: [],
  dayOrder: 'unstated',
  today: '2026-11-25',
  version: 3,
  checkPage: false,
  copy: false,
  business: { name: 'Workshop', phone: '', phoneText: '', hours: '', address: '', drawing: '', accent: '', logo: null },
  pages: [
    {
      key: 'you',
      title: 'You',
      next: 'Next',
      questions: [
        question({ key: 'name', number: 1, type: 'person-name', wording: 'Your name', required: true }),
        question({ key: 'email', number: 2, type: 'email', wording: 'Email', required: true }),
      ],
    },
    {
      key: 'wish',
      title: 'Your wish',
      next: 'Send',
      questions: [question({ key: 'matter', number: 3, type: 'long-text', wording: 'What is it?' })],
    },
  ],
};

interface Sent {
  answers: Record<string, string>;
  key: string | null;
  version: number;
}

function answers(...responses: (Response | Error)[]): Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    if (request.url.endsWith('/challenge')) return json(200, { challenge: 'text.1.mark', bits: 4 });
    const body = (await request.clone().json()) as { answers: Record<string, string>; version: number };
    sent.push({ answers: body.answers, version: body.version, key: request.headers.get('Idempotency-Key') });
    const response = responses[sent.length - 1];
    if (!response || response instanceof Error) throw response ?? new Error('not expected');
    return response;
  });
  return sent;
}

function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
  });
}

function show() {
  const onSent = vi.fn();
  const queries = new QueryClient({ defaultOptions: { mutations: { networkMode: 'always' } } });
  render(
    <QueryClientProvider client={queries}>
      <FilledIn slug="inquiry" form={form} onSent={onSent} />
    </QueryClientProvider>,
  );
  return onSent;
}

async function fillIn() {
  const user = userEvent.setup();
  await user.type(screen.getByLabelText(/Your name/), 'Orla Fennick');
  await user.type(screen.getByLabelText(/Email/), 'orla@example.com');
  await user.click(screen.getByRole('button', { name: 'Next' }));
  await user.type(await screen.findByLabelText(/What is it/), 'It squeaks.');
  return user;
}

describe('a form being filled in', () => {
  beforeEach(() => {
    localStorage.clear();
    vi.stubGlobal('scrollTo', () => undefined);
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('goes on only when the page is right', async () => {
    const user = userEvent.setup();
    show();
    await user.click(screen.getByRole('button', { name: 'Next' }));
    expect(await screen.findByText('Tell us your name.')).toBeTruthy();
    expect(screen.getByText('2 answers need another look')).toBeTruthy();
    expect(screen.queryByLabelText(/What is it/)).toBeNull();
  });

  it('sends all pages at once, with one key', async () => {
    const sent = answers(json(201, { reference: 'A-0001', message: 'Thank you.' }));
    const onSent = show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(onSent).toHaveBeenCalledWith({ reference: 'A-0001', message: 'Thank you.' }));
    expect(sent[0]?.answers).toEqual({ name: 'Orla Fennick', email: 'orla@example.com', matter: 'It squeaks.' });
    expect(sent[0]?.key).toMatch(/^[0-9a-f]{32}$/);
    expect(localStorage.getItem('telamon.form.inquiry')).toBeNull();
  });

  it('keeps everything when sending fails, and tries again with the same key', async () => {
    const sent = answers(new TypeError('offline'), json(201, { reference: 'A-0001', message: '' }));
    const onSent = show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    expect(await screen.findByText(/cannot be reached/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLTextAreaElement>(/What is it/).value).toBe('It squeaks.');
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    await waitFor(() => expect(onSent).toHaveBeenCalled());
    expect(sent[1]?.key).toBe(sent[0]?.key);
  });

  it('shows what failed beside the button, and puts it in the hand of who reads by ear', async () => {
    answers(new TypeError('offline'));
    show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    const notice = (await screen.findByText(/cannot be reached/)).closest('.public-trouble');
    await waitFor(() => expect(document.activeElement).toBe(notice));
    expect(notice?.nextElementSibling?.querySelector('button')?.textContent).toBe('Send');
  });

  it('gives other answers a key of their own after a failure, as the first may have arrived', async () => {
    const sent = answers(new TypeError('offline'), json(201, { reference: 'A-0001', message: '' }));
    const onSent = show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    await screen.findByText(/cannot be reached/);
    await user.type(screen.getByLabelText(/What is it/), ' And it is cold.');
    await user.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(onSent).toHaveBeenCalled());
    expect(sent[1]?.key).not.toBe(sent[0]?.key);
  });

  it('is another inquiry where another tab has sent something under its key', async () => {
    const sent = answers(
      json(409, { status: 409, title: 'Sent before' }),
      json(201, { reference: 'A-0002', message: '' }),
    );
    const onSent = show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(onSent).toHaveBeenCalledWith({ reference: 'A-0002', message: '' }));
    expect(sent[1]?.key).not.toBe(sent[0]?.key);
    expect(sent[1]?.answers).toEqual(sent[0]?.answers);
  });

  it('leaves nothing behind once it is sent: the next inquiry begins anew, under a key of its own', async () => {
    const sent = answers(
      json(201, { reference: 'A-0001', message: '' }),
      json(201, { reference: 'A-0002', message: '' }),
    );
    for (const time of [1, 2]) {
      const onSent = show();
      expect(screen.getByLabelText<HTMLInputElement>(/Your name/).value).toBe('');
      const user = await fillIn();
      await user.click(screen.getByRole('button', { name: 'Send' }));
      await waitFor(() => expect(onSent).toHaveBeenCalled());
      expect(localStorage.getItem('telamon.form.inquiry')).toBeNull();
      expect(sent).toHaveLength(time);
      cleanup();
    }
    expect(sent[1]?.key).not.toBe(sent[0]?.key);
    expect(sent[1]?.version).toBe(3);
  });

  it('leads back to the page where the server found fault', async () => {
    answers(
      json(422, {
        type: 'about:blank',
        title: 'No',
        status: 422,
        violations: [{ path: 'email', message: 'Check for blanks.' }],
      }),
    );
    show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Send' }));
    expect(await screen.findByText('Check for blanks.')).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>(/Email/).value).toBe('orla@example.com');
    await waitFor(() => expect(document.activeElement?.id).toBe('q-email'));
  });

  it('goes back without loss', async () => {
    show();
    const user = await fillIn();
    await user.click(screen.getByRole('button', { name: 'Back' }));
    expect(screen.getByLabelText<HTMLInputElement>(/Your name/).value).toBe('Orla Fennick');
    await user.click(screen.getByRole('button', { name: 'Next' }));
    expect((await screen.findByLabelText<HTMLTextAreaElement>(/What is it/)).value).toBe('It squeaks.');
  });
});
