import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { problem, showScreen, standInForTheBrowser, type Call } from '../testing/server.test-helper';
import { FormsScreen } from './FormsScreen';

import { form, keeping, questions } from './designed.test-helper';

function show(replies: Parameters<typeof showScreen>[3]): Call[] {
  return showScreen('/forms/f1', '/forms/:id?', <FormsScreen />, replies);
}

const choose = async (wording: string) =>
  fireEvent.click(await screen.findByRole('button', { name: new RegExp(wording) }));

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
    // At once: what is typed on without a pause is not lost.
    expect(document.activeElement).toBe(screen.getByLabelText('Wording'));
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
    fireEvent.click(await screen.findByText('Cancel'));
    expect(screen.getByRole('button', { name: /Stairs\?/ })).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Delete', code: 'Delete' });
    fireEvent.click(await screen.findByText('Delete both'));
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
    expect(document.activeElement).toBe(screen.getByLabelText('Choice 2'));
    fireEvent.change(screen.getByLabelText('Choice 2'), { target: { value: 'Two flights' } });
    await waitFor(() => expect(labels()).toEqual(['One flight', 'Two flights', 'None']), { timeout: 3000 });
    const after = questions(server.kept())[1]?.options?.map((option) => option.value);
    expect([after?.[2], after?.[0]]).toEqual(before);
    expect(new Set(after).size).toBe(3);
  });

  it('lets thanks send somebody away, and nothing else', async () => {
    const server = keeping();
    show(server.replies);
    fireEvent.click(await screen.findByText('with thanks; end otherwise …'));
    fireEvent.change(screen.getByLabelText('Text, address or form'), { target: { value: 'We do not come that far.' } });
    fireEvent.click(screen.getByLabelText(/sends them away/));
    const ends = () => (server.kept() as { endings?: object[] }).endings;
    await waitFor(
      () => expect(ends()).toMatchObject([{ kind: 'thanks', text: 'We do not come that far.', sendsAway: true }]),
      { timeout: 3000 },
    );
    fireEvent.change(screen.getByLabelText('How it ends'), { target: { value: 'address' } });
    expect(screen.queryByLabelText(/sends them away/)).toBeNull();
    await waitFor(() => expect(ends()).toMatchObject([{ kind: 'address', sendsAway: false }]), { timeout: 3000 });
  });

  it('names whom it tells at once, and offers nobody who is not here', async () => {
    const server = keeping();
    const calls = show(server.replies);
    const tells = await screen.findByLabelText<HTMLSelectElement>('Who is told at once');
    expect([...tells.options].map((one) => one.text)).toEqual(['nobody by mail', 'Pim Aldry, by mail at once']);
    fireEvent.change(tells, { target: { value: 'pim' } });
    await waitFor(
      () =>
        expect(calls.findLast((call) => call.method === 'PUT')?.body).toMatchObject({ definition: { tell: 'pim' } }),
      { timeout: 3000 },
    );
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
});
