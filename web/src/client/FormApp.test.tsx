import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { complete } from '../staff/definition/design';
import { asPublic } from '../staff/definition/asPublic';
import { problem } from '../staff/testing/server.test-helper';
import { carriedTo, carryOn } from './carry';
import { keptAs } from './draft';
import { FormApp } from './FormApp';

const business = {
  name: 'Marrowby Piano Workshop',
  phone: '+353209172204',
  phoneText: '+353 20 917 2204',
  hours: 'Mon to Fri',
  address: '4 Quarry Steps',
  drawing: '',
};
const options = [
  { value: 'x', label: 'Regular service' },
  { value: 'y', label: 'Repairs' },
];

const definition = complete({
  title: 'Intake',
  pages: [
    {
      key: 'p',
      title: 'All',
      next: 'Send',
      questions: [
        { key: 'name', type: 'person-name', wording: 'Your name', required: true },
        { key: 'history', type: 'any-of', wording: 'What was done?', options },
        {
          key: 'repairs',
          type: 'short-text',
          wording: 'Which repairs?',
          showIf: { question: 'history', op: 'is', value: 'y' },
        },
        { key: 'alone', type: 'yes-no', wording: 'Will you be deciding on your own?' },
        { key: 'score', type: 'scale', wording: 'How likely?' },
        { key: 'budget', type: 'money', wording: 'Do you have a budget in mind?' },
        { key: 'hello', type: 'statement', wording: 'We come by van.' },
        { key: 'source', type: 'hidden', wording: '', parameter: 'campaign' },
        { key: 'agree', type: 'consent', wording: 'You may keep these answers.', required: true },
      ],
    },
  ],
});

function show(replies: (request: Request, body: unknown) => Response | object) {
  const sent: unknown[] = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const text = await request.text();
    const body: unknown = text ? JSON.parse(text) : null;
    if (request.method === 'POST') sent.push(body);
    if (request.url.endsWith('/challenge')) return Response.json({ challenge: 'text.1.mark', bits: 4 });
    const reply = replies(request, body);
    return reply instanceof Response
      ? reply
      : new Response(JSON.stringify(reply), {
          status: request.method === 'POST' ? 201 : 200,
          headers: { 'Content-Type': 'application/json' },
        });
  });
  render(
    <QueryClientProvider
      client={new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } })}
    >
      <FormApp slug="intake" />
    </QueryClientProvider>,
  );
  return sent;
}

const published = { ...asPublic(definition, '2026-11-25'), slug: 'intake', business };
const good = (request: Request) =>
  request.method === 'GET' ? published : { reference: 'A-0042', message: 'Thank you, Orla.', next: null };

describe('a public form', () => {
  beforeEach(() => {
    localStorage.clear();
    sessionStorage.clear();
    vi.stubGlobal('scrollTo', () => undefined);
  });
  afterEach(() => {
    cleanup();
    window.history.replaceState(null, '', '/');
    vi.unstubAllGlobals();
  });

  it('asks every kind of question, and only what its conditions call for', async () => {
    show(good);
    expect(await screen.findByRole('group', { name: /What was done/ })).toBeTruthy();
    expect(screen.getByRole('radiogroup', { name: /Will you be deciding on your own/ })).toBeTruthy();
    expect(screen.getAllByRole('radio').map((radio) => (radio as HTMLInputElement).value)).toEqual([
      'yes',
      'no',
      ...Array.from({ length: 11 }, (_, i) => String(i)),
    ]);
    expect(screen.getByText('We come by van.')).toBeTruthy();
    expect(screen.queryByLabelText(/Which repairs/)).toBeNull();
    fireEvent.click(screen.getByLabelText('Repairs'));
    expect(await screen.findByLabelText(/Which repairs/)).toBeTruthy();
    fireEvent.click(screen.getByLabelText('Repairs'));
    await waitFor(() => expect(screen.queryByLabelText(/Which repairs/)).toBeNull());
  });

  it('sends what was asked, and hidden values from named parameters only', async () => {
    window.history.replaceState(null, '', '/f/intake?campaign=spring&other=ignored');
    const sent = show(good);
    fireEvent.change(await screen.findByLabelText(/Your name/), { target: { value: 'Orla Fennick' } });
    fireEvent.click(screen.getByLabelText('Regular service'));
    fireEvent.click(screen.getByLabelText('Repairs'));
    fireEvent.click(screen.getByLabelText('Yes'));
    fireEvent.click(screen.getByLabelText('You may keep these answers.'));
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    expect(await screen.findByText('A-0042')).toBeTruthy();
    expect(sent).toHaveLength(1);
    expect(sent[0]).toMatchObject({
      answers: { name: 'Orla Fennick', history: ['x', 'y'], alone: 'yes', agree: 'yes', source: 'spring' },
      unseen: '',
      channel: 'page',
    });
    expect(document.title).toBe('Thank you · Marrowby Piano Workshop');
    expect(JSON.parse(localStorage.getItem('telamon.form.intake') ?? '{"answers":{}}')).toMatchObject({ answers: {} });
    expect(localStorage.getItem('telamon.form.intake') ?? '').not.toContain('Orla');
  });

  it('does not send without a consent that is needed, nor a sum in words', async () => {
    const sent = show(good);
    fireEvent.change(await screen.findByLabelText(/Your name/), { target: { value: 'Orla' } });
    fireEvent.change(screen.getByLabelText(/Do you have a budget in mind/), { target: { value: 'a lot' } });
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    expect(await screen.findByText('We need your consent for this.')).toBeTruthy();
    expect(screen.getByText('Write it in figures, like 120.00.')).toBeTruthy();
    expect(sent).toEqual([]);
  });

  it('does not ask again what the form before has asked', async () => {
    carryOn('intake', { name: 'Orla Fennick' }, 'receipt');
    const sent = show(good);
    expect(await screen.findByText(/need not tell again/)).toBeTruthy();
    expect(screen.queryByRole('textbox', { name: /Your name/ })).toBeNull();
    fireEvent.click(screen.getByLabelText('You may keep these answers.'));
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ answers: { name: 'Orla Fennick' }, continues: 'receipt' }));
  });

  it('knows whom a link is for, keeps their draft apart and sends the link along', async () => {
    localStorage.setItem(
      'telamon.form.intake',
      JSON.stringify({ answers: { budget: '12' }, files: {}, key: 'of-somebody-else' }),
    );
    window.history.replaceState(null, '', '/f/intake?for=signed.link.one&utm_source=mail');
    const own = {
      ...published,
      pages: published.pages.map((page) => ({
        ...page,
        questions: page.questions.filter((question) => question.key !== 'name'),
      })),
      for: 'Orla',
    };
    const sent = show((request) => (request.url.includes('/personal?t=signed.link.one') ? own : good(request)));
    expect(await screen.findByText(/For Orla: you need not tell us again who you are/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Not Orla?' }).getAttribute('href')).toBe('/f/intake');
    expect(screen.queryByLabelText(/Your name/)).toBeNull();
    expect(screen.getByLabelText<HTMLInputElement>(/Do you have a budget/).value).toBe('');
    fireEvent.click(screen.getByLabelText('You may keep these answers.'));
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ personal: 'signed.link.one', answers: { agree: 'yes' } }));
    expect(JSON.stringify(sent[0]).replace('"personal":"signed.link.one"', '')).not.toContain('signed.link');
    expect(localStorage.getItem('telamon.form.intake')).toContain('of-somebody-else');
  });

  it('goes on to the form that follows by a link of their own', async () => {
    window.history.replaceState(null, '', '/f/intake?for=signed.link.one');
    const assign = vi.fn();
    const href = 'http://localhost/f/intake?for=signed.link.one';
    vi.stubGlobal('location', { href, search: '?for=signed.link.one', pathname: '/f/intake', assign });
    show((request) =>
      request.url.includes('/personal')
        ? { ...published, for: 'Orla' }
        : request.method === 'GET'
          ? published
          : {
              reference: 'A-1',
              message: '',
              continues: 'receipt',
              carried: { history: ['x'] },
              next: { kind: 'form', to: 'second', for: 'signed.link.for.the.second.form' },
            },
    );
    fireEvent.change(await screen.findByLabelText(/Your name/), { target: { value: 'Orla' } });
    fireEvent.click(screen.getByLabelText('You may keep these answers.'));
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(assign).toHaveBeenCalledWith('/f/second?for=signed.link.for.the.second.form'));
    expect(carriedTo(keptAs('second', 'signed.link.for.the.second.form'))).toEqual({
      keys: ['history'],
      continues: 'receipt',
    });
  });

  it('asks who they are where the link does not hold any more', async () => {
    window.history.replaceState(null, '', '/f/intake?for=old');
    const sent = show((request) => (request.url.includes('/personal') ? problem(404, 'Over.') : good(request)));
    expect(await screen.findByText(/The link to this form is over/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/Your name/), { target: { value: 'Orla' } });
    fireEvent.click(screen.getByLabelText('You may keep these answers.'));
    fireEvent.click(screen.getByRole('button', { name: 'Send' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ answers: { name: 'Orla' } }));
    expect(sent[0]).not.toHaveProperty('personal');
  });

  it.each([
    [404, 'There is no such form.', 'There is no such form'],
    [410, 'We are closed for the move.', 'We are closed for the move.'],
    [503, 'The database does not answer.', 'The form could not be loaded'],
  ])('says what %d means', async (status, detail, words) => {
    show(() => problem(status, detail));
    expect(await screen.findByText(words)).toBeTruthy();
  });
});
