import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { question } from '../../form/testing/question.test-helper';
import type { Schema } from '../../shared/api';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { withOnFile } from './draft';
import { InquiryScreen } from './InquiryScreen';

const form: Schema<'PublicForm'> = {
  slug: 'inquiry',
  version: 3,
  title: 'Tell us',
  intro: '',
  privacy: '',
  dayOrder: 'day-first',
  today: '2026-11-25',
  checkPage: false,
  copy: false,
  steps: [],
  business: { name: '', phone: '', phoneText: '', hours: '', address: '', drawing: '', accent: '', logo: null },
  pages: [
    {
      key: 'p',
      title: '',
      next: 'Send',
      questions: [
        question({ number: 1, key: 'name', type: 'person-name', wording: 'Your name', required: true }),
        question({ number: 2, key: 'email', type: 'email', wording: 'Email', required: true }),
        question({ number: 3, key: 'matter', type: 'long-text', wording: 'What is it?', required: true }),
      ],
    },
  ],
};
const plan = { fingerprint: 'f', open: 0, lines: [] };
const sheet = { form, answers: {}, client: null, assets: [] };

function show(replies: Parameters<typeof showScreen>[3] = {}, path = '/inquiry') {
  return showScreen(path, '/inquiry', <InquiryScreen />, {
    'GET /api/inquiries/forms': { items: [{ value: 'inquiry', label: 'Inquiry' }] },
    'GET /api/inquiries/forms/inquiry': sheet,
    'GET /api/inquiries/forms/inquiry?client=c1': {
      ...sheet,
      answers: { name: 'Bryony Tesk', email: 'bryony@tesk.example' },
      client: { kind: 'client', id: 'c1', label: 'Bryony Tesk', path: '/clients/c1' },
      assets: ['Halk & Roe square'],
    },
    'POST /api/inquiries/try': plan,
    ...replies,
  });
}
const write = async (label: string, value: string) =>
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value;

describe('an inquiry written down', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('is saved with its channel, whatever is missing, and forgotten then', async () => {
    const calls = show({ 'POST /api/inquiries': { id: 'a1', number: 'A-0419' } });
    await write('What is it?', 'Three keys stick.');
    fireEvent.click(screen.getByText('Desk'));
    expect(localStorage.getItem('telamon.unsaved.inquiry.new')).toContain('Three keys stick.');
    fireEvent.click(await screen.findByText('Save the inquiry'));
    expect(await screen.findByText(/A-0419 written down/)).toBeTruthy();
    const sent = calls.find((call) => call.path === '/api/inquiries');
    expect(sent?.body).toMatchObject({
      form: 'inquiry',
      version: 3,
      answers: { matter: 'Three keys stick.' },
      channel: 'desk',
      client: null,
      answered: true,
    });
    expect(sent?.key).toMatch(/^[0-9a-f]{32}$/);
    expect(localStorage.getItem('telamon.unsaved.inquiry.new')).toBeNull();
  });

  it('holds what is on file, and keeps what is written over it', async () => {
    show({}, '/inquiry?client=c1');
    await waitFor(() => expect(field('Email')).toBe('bryony@tesk.example'));
    expect(screen.getAllByText('on file')).toHaveLength(2);
    await write('Email', 'new@tesk.example');
    expect(screen.getAllByText('on file')).toHaveLength(1);
    fireEvent.click(screen.getByText('Remove'));
    await waitFor(() => expect(field('Your name')).toBe(''));
    expect(field('Email')).toBe('new@tesk.example');
  });

  it('comes back after the page was left', async () => {
    show();
    await write('What is it?', 'Half a sentence');
    cleanup();
    show();
    await screen.findByLabelText('What is it?');
    expect(field('What is it?')).toBe('Half a sentence');
  });

  it('stays where it could not be saved, under the same key', async () => {
    let refuse = true;
    const calls = show({
      'POST /api/inquiries': () =>
        refuse
          ? problem(422, 'Wrong', [{ path: 'email', message: 'This is no mail address.' }])
          : { id: 'a1', number: 'A-0420' },
    });
    await write('Email', 'nonsense');
    fireEvent.click(screen.getByText('Save the inquiry'));
    expect(await screen.findByText('This is no mail address.')).toBeTruthy();
    expect(field('Email')).toBe('nonsense');
    refuse = false;
    await write('Email', 'ida@example.org');
    fireEvent.click(screen.getByText('Save the inquiry'));
    expect(await screen.findByText(/A-0420/)).toBeTruthy();
    const keys = calls.filter((call) => call.path === '/api/inquiries').map((call) => call.key);
    expect(new Set(keys).size).toBe(1);
  });

  it('shows the plan so far once nobody types', async () => {
    const calls = show();
    await write('Your name', 'I');
    await write('Your name', 'Ida');
    expect(await screen.findByText('So far, saving would')).toBeTruthy();
    const tried = calls.filter((call) => call.path === '/api/inquiries/try');
    expect(tried.at(-1)?.body).toMatchObject({ answers: { name: 'Ida' } });
  });
});

describe('what is on file, put into a form', () => {
  it('goes where nothing is written, or only what was on file before', () => {
    expect(
      withOnFile(
        { name: 'Ida', email: 'old@x.example', phone: '' },
        { email: 'old@x.example' },
        { name: 'Una', email: 'new@x.example', phone: '1' },
      ),
    ).toEqual({ name: 'Ida', email: 'new@x.example', phone: '1' });
    expect(withOnFile({ email: 'old@x.example' }, { email: 'old@x.example' }, {})).toEqual({ email: '' });
  });
});
