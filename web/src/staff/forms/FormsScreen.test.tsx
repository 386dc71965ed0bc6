import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser, type Call } from '../testing/server.test-helper';
import type { Definition } from '../definition/design';
import { FormsScreen } from './FormsScreen';
import { FormTableScreen } from './FormTableScreen';
import type { DesignedForm } from './queries';

const form: DesignedForm = {
  id: 'f1',
  slug: 'inquiry',
  title: 'Inquiry',
  state: 'live',
  version: 1,
  definition: {
    title: 'Write to us',
    intro: '',
    privacy: '',
    thanks: '',
    promiseMinutes: 120,
    dayOrder: 'day-first',
    steps: [],
    pages: [
      {
        key: 'p',
        title: 'You',
        next: 'Send',
        questions: [
          { key: 'name', type: 'person-name', wording: 'Your name', required: true, destination: 'client.name' },
          { key: 'stairs', type: 'yes-no', wording: 'Stairs?' },
          {
            key: 'floors',
            type: 'number',
            wording: 'How many?',
            showIf: { question: 'stairs', op: 'is', value: 'yes' },
          },
        ],
      },
    ],
  },
  published: { number: 2, at: '2026-11-01T10:00:00+00:00' },
  savedAt: '2026-11-25T10:00:00+00:00',
  savedBy: null,
  problems: [],
  advice: ['No question goes to the client’s email.'],
  changes: ['“Stairs?” is added as question 2'],
  settings: { opensOn: null, closesOn: null, limit: null, closedText: '', sites: [] },
};

const kinds = {
  kinds: [
    { kind: 'person-name', destinations: ['client.name', 'project.notes'], inLines: true },
    { kind: 'short-text', destinations: ['asset.description', 'asset.serial', 'project.notes'], inLines: true },
    { kind: 'number', destinations: ['project.notes'], inLines: true },
    { kind: 'long-text', destinations: ['project.notes'], inLines: true },
    { kind: 'yes-no', destinations: ['project.notes'], inLines: true },
  ],
  destinations: [
    { name: 'client.name', label: 'client, name', words: [] },
    { name: 'asset.description', label: 'asset, what it is', words: [] },
    { name: 'asset.serial', label: 'asset, serial number', words: ['serial'] },
    { name: 'project.notes', label: 'project, notes', words: [] },
  ],
};

const list = {
  items: [{ id: 'f1', slug: 'inquiry', title: 'Inquiry', state: 'live', publishedVersion: 2, submissions: 7 }],
};

/** A server that keeps what it is sent, counting versions as the real one does. */
function keeping(): { replies: Parameters<typeof showScreen>[3]; kept: () => Definition | null } {
  let version = 1;
  let definition: Definition | null = null;
  const replies = {
    'GET /api/forms': list,
    'GET /api/forms/f1': form,
    'GET /api/forms/kinds': kinds,
    'GET /api/forms/starters': { items: [{ key: 'intake', title: 'Intake', about: 'What you need to know.' }] },
    'PUT /api/forms/f1': (body: unknown) => {
      const sent = body as { version: number; definition: Definition };
      if (sent.version !== version) return problem(409, 'Somebody else changed this.');
      version++;
      definition = sent.definition;
      return { ...form, version, definition: sent.definition };
    },
    'POST /api/forms/f1/publish': () => ({ ...form, version, published: { number: 3, at: form.savedAt } }),
  };
  return { replies, kept: () => definition };
}

function show(replies: Parameters<typeof showScreen>[3]): Call[] {
  return showScreen('/forms/f1', '/forms/:id?', <FormsScreen />, replies);
}

const choose = async (wording: string) =>
  fireEvent.click(await screen.findByRole('button', { name: new RegExp(wording) }));
const questions = (definition: Definition | null) => definition?.pages.flatMap((page) => page.questions) ?? [];

describe('designing a form', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('reads as people read it, and says what publishing would do', async () => {
    show(keeping().replies);
    expect(await screen.findByRole('button', { name: /How many\?.*only if 2 is yes/ })).toBeTruthy();
    expect(screen.getByText('Publishing 3 would')).toBeTruthy();
    expect(screen.getByText('“Stairs?” is added as question 2')).toBeTruthy();
    expect(screen.getByText('No question goes to the client’s email.')).toBeTruthy();
  });

  it('keeps what is typed, with the version that it saw', async () => {
    const server = keeping();
    const calls = show(server.replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Are there stairs?' } });
    await waitFor(() => expect(questions(server.kept())[1]?.wording).toBe('Are there stairs?'), { timeout: 3000 });
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Any stairs?' } });
    await waitFor(() => expect(questions(server.kept())[1]?.wording).toBe('Any stairs?'), { timeout: 3000 });
    expect(
      calls.filter((call) => call.method === 'PUT').map((call) => (call.body as { version: number }).version),
    ).toEqual([1, 2]);
  });

  it('does not overwrite what somebody else kept', async () => {
    const server = keeping();
    show({ ...server.replies, 'PUT /api/forms/f1': () => problem(409, 'Somebody else changed this.') });
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Mine' } });
    expect(await screen.findByText(/Somebody else saved this form meanwhile/, {}, { timeout: 3000 })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Wording').value).toBe('Mine');
  });

  it('saves what was typed a moment before one left, and has it there again', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Half a wor' } });
    cleanup();
    await waitFor(() => expect(questions(server.kept())[1]?.wording).toBe('Half a wor'));
    expect(localStorage.getItem('telamon.unsaved.form.f1')).toBeNull();
  });

  it('has what was typed offline again after a reload, and saves it once the server is there', async () => {
    const server = keeping();
    let offline = true;
    const put = (server.replies as Record<string, (body: unknown) => unknown>)['PUT /api/forms/f1'];
    const replies = {
      ...server.replies,
      'PUT /api/forms/f1': (body: unknown) => {
        if (offline) throw new TypeError('offline');
        return put?.(body);
      },
    };
    show(replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Typed offline' } });
    expect(await screen.findByText('not saved yet', {}, { timeout: 3000 })).toBeTruthy();
    cleanup();
    show(replies);
    await choose('Typed offline');
    offline = false;
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(questions(server.kept())[1]?.wording).toBe('Typed offline'), { timeout: 3000 });
  });

  it('adds a question behind the chosen one, ready to be worded', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Your name');
    fireEvent.keyDown(window, { key: '+', code: 'BracketRight' });
    const kind = await screen.findByRole('combobox', { name: 'Kind of the new question' });
    expect(document.activeElement).toBe(kind);
    fireEvent.change(kind, { target: { value: 'sh' } });
    fireEvent.keyDown(kind, { key: 'Enter' });
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Wording')));
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Its serial number?' } });
    fireEvent.click(await screen.findByText('likely: asset, serial number'));
    await waitFor(
      () => expect(questions(server.kept())[1]).toMatchObject({ type: 'short-text', destination: 'asset.serial' }),
      { timeout: 3000 },
    );
    // Enter in the wording asks the next one; Esc leaves it.
    fireEvent.keyDown(screen.getByLabelText('Wording'), { key: 'Enter' });
    const next = await screen.findByRole('combobox', { name: 'Kind of the new question' });
    fireEvent.keyDown(next, { key: 'ArrowDown' });
    expect(screen.getByRole('option', { name: /long text/, selected: true })).toBeTruthy();
    fireEvent.keyDown(next, { key: 'Escape' });
    expect(screen.queryByRole('combobox', { name: 'Kind of the new question' })).toBeNull();
  });

  it('edits conditions in conditions', async () => {
    const server = keeping();
    show(server.replies);
    await choose('How many');
    fireEvent.click(screen.getByRole('button', { name: 'a group' }));
    const inner = () => document.querySelector<HTMLElement>('.condition.inner');
    await waitFor(() => expect(inner()).toBeTruthy());
    fireEvent.change(within(inner() ?? document.body).getByLabelText('Value'), { target: { value: 'Orla' } });
    const last = screen.getAllByLabelText('How they hold together').at(-1);
    if (last) fireEvent.change(last, { target: { value: 'none' } });
    await waitFor(
      () =>
        expect(questions(server.kept())[2]?.showIf).toEqual({
          not: {
            any: [
              { question: 'stairs', op: 'is', value: 'yes' },
              { any: [{ question: 'name', op: 'has-word', value: 'Orla' }] },
            ],
          },
        }),
      { timeout: 3000 },
    );
  });

  it('asks several things a line in a table', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Kind'), { target: { value: 'lines' } });
    fireEvent.change(await screen.findByLabelText('Wording of column 1'), { target: { value: 'Serial' } });
    fireEvent.click(screen.getByText('likely: asset, serial number'));
    const more = screen.getAllByRole('button', { name: 'and also' })[0];
    if (more) fireEvent.click(more);
    fireEvent.change(screen.getByLabelText('Kind of column 2'), { target: { value: 'number' } });
    await waitFor(
      () =>
        expect(questions(server.kept())[1]?.lines).toEqual([
          { key: 'what', type: 'short-text', wording: 'Serial', destination: 'asset.serial' },
          { key: 'column_2', type: 'number', wording: '', destination: '' },
        ]),
      { timeout: 3000 },
    );
  });

  it('says how people come to it', async () => {
    show(keeping().replies);
    expect(await screen.findByTitle('Code to scan for Inquiry')).toBeTruthy();
    expect(screen.getByLabelText<HTMLTextAreaElement>(/For another site/).value).toBe(
      `<script async src="${window.location.origin}/embed.js" data-form="inquiry"></script>`,
    );
  });

  it('moves by key and takes back what was done', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Stairs');
    fireEvent.keyDown(window, { key: 'ArrowUp', code: 'ArrowUp', altKey: true });
    await waitFor(
      () => expect(questions(server.kept()).map((question) => question.key)).toEqual(['stairs', 'name', 'floors']),
      { timeout: 3000 },
    );
    fireEvent.keyDown(window, { key: 'u', code: 'KeyU' });
    await waitFor(
      () => expect(questions(server.kept()).map((question) => question.key)).toEqual(['name', 'stairs', 'floors']),
      { timeout: 3000 },
    );
    fireEvent.click(screen.getByText('Redo'));
    await waitFor(() => expect(questions(server.kept())[0]?.key).toBe('stairs'), { timeout: 3000 });
  });

  it('asks before taking out what another question depends on', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Stairs');
    fireEvent.keyDown(window, { key: 'Delete', code: 'Delete' });
    fireEvent.click(await screen.findByText('Leave it'));
    expect(screen.getByRole('button', { name: /Stairs\?/ })).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Delete', code: 'Delete' });
    fireEvent.click(await screen.findByText('Take out both'));
    await waitFor(
      () =>
        expect(questions(server.kept()).map((question) => [question.key, question.showIf])).toEqual([
          ['name', undefined],
          ['floors', undefined],
        ]),
      { timeout: 3000 },
    );
  });

  it('edits options a line each, and keeps their values', async () => {
    const server = keeping();
    show(server.replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Kind'), { target: { value: 'one-of' } });
    const first = await screen.findByLabelText('Choice 1');
    fireEvent.change(first, { target: { value: 'None' } });
    fireEvent.change(screen.getByLabelText('Choice 2'), { target: { value: 'One flight' } });
    const labels = () => questions(server.kept())[1]?.options?.map((option) => option.label);
    await waitFor(() => expect(labels()).toEqual(['None', 'One flight']), { timeout: 3000 });
    const before = questions(server.kept())[1]?.options?.map((option) => option.value);
    // One above the others: it is another choice, and those beneath stay what they were.
    fireEvent.keyDown(screen.getByLabelText('Choice 1'), { key: 'ArrowDown', altKey: true });
    await waitFor(() => expect(labels()).toEqual(['One flight', 'None']), { timeout: 3000 });
    fireEvent.keyDown(screen.getByLabelText('Choice 1'), { key: 'Enter' });
    fireEvent.change(screen.getByLabelText('Choice 2'), { target: { value: 'Two flights' } });
    await waitFor(() => expect(labels()).toEqual(['One flight', 'Two flights', 'None']), { timeout: 3000 });
    const after = questions(server.kept())[1]?.options?.map((option) => option.value);
    expect([after?.[2], after?.[0]]).toEqual(before);
    expect(new Set(after).size).toBe(3);
  });

  it('publishes what has been kept', async () => {
    const calls = show(keeping().replies);
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Any stairs?' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText(/Version 3 is live at \/f\/inquiry/)).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/forms/f1/publish')?.body).toEqual({ version: 2 });
  });

  it('publishes the newest draft even while an older one is on its way', async () => {
    const server = keeping();
    let let1: (() => void) | undefined;
    const held = new Promise<void>((resolve) => {
      let1 = resolve;
    });
    let first = true;
    const keep = server.replies['PUT /api/forms/f1'] as (body: unknown) => Response | object;
    const calls = show({
      ...server.replies,
      'PUT /api/forms/f1': async (body: unknown) => {
        if (first) {
          first = false;
          await held;
        }
        return keep(body);
      },
    });
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Older' } });
    await waitFor(() => expect(calls.some((call) => call.method === 'PUT')).toBe(true), { timeout: 3000 });
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Newest' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    let1?.();
    expect(await screen.findByText(/Version 3 is live/)).toBeTruthy();
    expect(questions(server.kept())[1]?.wording).toBe('Newest');
    expect(calls.find((call) => call.path === '/api/forms/f1/publish')?.body).toEqual({ version: 3 });
  });

  it('tries a refused draft once, not over and over', async () => {
    const calls = show({
      ...keeping().replies,
      'PUT /api/forms/f1': () => problem(409, 'Somebody else changed this.'),
    });
    await choose('Stairs');
    fireEvent.change(screen.getByLabelText('Wording'), { target: { value: 'Mine' } });
    await screen.findByText(/Somebody else saved this form meanwhile/, {}, { timeout: 3000 });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText(/Not published: Somebody else changed this/)).toBeTruthy();
    expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(2);
    expect(calls.some((call) => call.path.endsWith('/publish'))).toBe(false);
  });

  it('does not publish what cannot be a form', async () => {
    const calls = show({
      ...keeping().replies,
      'GET /api/forms/f1': { ...form, problems: ['question 1: the type is not known'] },
    });
    expect(await screen.findByText('question 1: the type is not known')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(calls.some((call) => call.path.endsWith('/publish'))).toBe(false);
  });

  it('begins another form from a starter', async () => {
    const calls = show({
      ...keeping().replies,
      'POST /api/forms': { ...form, id: 'f2' },
      'GET /api/forms/f2': { ...form, id: 'f2' },
    });
    fireEvent.click(await screen.findByText('New form'));
    await screen.findByRole('option', { name: 'Intake' });
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Our intake' } });
    fireEvent.change(screen.getByLabelText(/Begin with/), { target: { value: 'intake' } });
    fireEvent.click(screen.getByText('Begin'));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ title: 'Our intake', starter: 'intake' }),
    );
  });

  it('shows what came as a table, and saves what is filtered', async () => {
    showScreen('/forms/f1/submissions?state=accepted', '/forms/:id/submissions', <FormTableScreen />, {
      ...keeping().replies,
      'GET /api/forms/f1/submissions': {
        columns: [
          { key: 'name', wording: 'Your name' },
          { key: 'stairs', wording: 'Stairs?' },
        ],
        items: [
          {
            id: 's1',
            number: 'A-0007',
            state: 'accepted',
            receivedAt: '2026-11-25T09:00:00+00:00',
            version: 2,
            answers: { name: 'Orla Fennick', stairs: 'yes' },
          },
        ],
        next: null,
      },
    });
    expect(await screen.findByText('Orla Fennick')).toBeTruthy();
    expect(screen.getByText('CSV').getAttribute('href')).toBe('/api/forms/f1/submissions/csv?state=accepted');
    expect(screen.getByRole('link', { name: 'A-0007' }).getAttribute('href')).toBe('/arrivals/s1?state=accepted');
    fireEvent.click(screen.getByLabelText('Your name'));
    expect(screen.queryByText('Orla Fennick')).toBeNull();
  });

  it('sorts by a column, and the other way round', async () => {
    const table = { columns: [{ key: 'name', wording: 'Your name' }], items: [row], next: null };
    const calls = showTable({ 'GET /api/forms/f1/submissions': table });
    fireEvent.click(await screen.findByRole('button', { name: /Your name/ }));
    await waitFor(() => expect(calls.at(-1)?.query.get('sort')).toBe('answer:name'));
    expect(await screen.findByRole('columnheader', { name: /Your name/ })).toHaveProperty('ariaSort', 'ascending');
    fireEvent.click(screen.getByRole('button', { name: /Your name/ }));
    await waitFor(() => expect(calls.at(-1)?.query.get('sort')).toBe('-answer:name'));
    expect(screen.getByText('XLSX').getAttribute('href')).toContain('sort=-answer%3Aname');
  });

  it('counts the answers', async () => {
    showTable({
      'GET /api/forms/f1/figures': {
        submissions: 4,
        questions: [
          {
            key: 'score',
            wording: 'Would you recommend us?',
            kind: 'scale',
            answered: 3,
            counts: [{ label: '9', count: 2, low: 0.2077, high: 0.9385 }],
            numbers: {
              least: '6',
              lowerQuarter: '7.5',
              median: '9',
              upperQuarter: '9',
              most: '9',
              mean: '8',
              score: 33,
            },
          },
        ],
      },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Counted' }));
    expect(await screen.findByText('Would you recommend us?')).toBeTruthy();
    expect(screen.getByText(/answered in 3 of 4.*middle 9, mean 8; score \+33/)).toBeTruthy();
    expect(screen.getByText('21 % to 94 %')).toBeTruthy();
  });

  it('keeps a way of looking, uses it and forgets it', async () => {
    const view = { id: 'v1', name: 'Squeaks', filter: { q: 'squeak', state: 'waiting', sort: '', hidden: ['name'] } };
    let views = [view];
    const calls = showTable({
      'GET /api/forms/f1/views': () => ({ items: views }),
      'POST /api/forms/f1/views': () => view,
      'DELETE /api/forms/f1/views/v1': () => {
        views = [];
        return new Response(null, { status: 204 });
      },
    });
    fireEvent.click(await screen.findByText('Squeaks'));
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('In any answer').value).toBe('squeak'));
    fireEvent.click(screen.getByText('keep this one'));
    fireEvent.change(screen.getByLabelText(/Name of this view/), { target: { value: 'Again' } });
    fireEvent.submit(screen.getByLabelText(/Name of this view/));
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toEqual({ name: 'Again', filter: view.filter }),
    );
    fireEvent.click(screen.getByRole('button', { name: 'Forget Squeaks' }));
    await waitFor(() => expect(screen.queryByText('Squeaks')).toBeNull());
  });
});

const row = {
  id: 's1',
  number: 'A-0007',
  state: 'accepted',
  receivedAt: '2026-11-25T09:00:00+00:00',
  version: 2,
  answers: { name: 'Orla Fennick' },
};

function showTable(replies: Parameters<typeof showScreen>[3]) {
  return showScreen('/forms/f1/submissions', '/forms/:id/submissions', <FormTableScreen />, {
    ...keeping().replies,
    'GET /api/forms/f1/submissions': {
      columns: [{ key: 'name', wording: 'Your name' }],
      items: [row],
      next: null,
    },
    'GET /api/forms/f1/views': { items: [] },
    ...replies,
  });
}
