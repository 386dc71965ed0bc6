import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { question } from '../../form/testing/question.test-helper';
import { problem, standInForTheBrowser } from '../testing/server.test-helper';

import { line, list, rule, show } from './rules.test-helper';

describe('Rules', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(() => {
    cleanup();
    localStorage.clear();
    vi.unstubAllGlobals();
  });

  it('lists the rules in their order, with what they did', async () => {
    show('/rules');
    expect(await screen.findByText(/4 times, last/)).toBeTruthy();
    expect(screen.getByText(/1 with a fault/)).toBeTruthy();
    expect(screen.getByText('never used')).toBeTruthy();
    expect(screen.getByDisplayValue('Nobody carries alone.')).toBeTruthy();
  });

  it('keeps what is changed, with the version that it saw', async () => {
    const calls = show('/rules/r1', { 'PUT /api/rules/r1': rule('r1', 'Steps') });
    fireEvent.change(await screen.findByLabelText(/Name, as/), { target: { value: 'Steps' } });
    fireEvent.change(screen.getByLabelText('What it does'), { target: { value: 'task' } });
    fireEvent.change(screen.getByLabelText('Task'), { target: { value: 'Find help' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        version: 3,
        name: 'Steps',
        if: { question: 'place', op: 'contains', value: 'step' },
        then: [
          { kind: 'tag', record: 'project', tag: 'stairs' },
          { kind: 'task', name: 'Find help', doer: 'lead', days: '1' },
        ],
      }),
    );
    expect(await screen.findByText('Steps saved, on')).toBeTruthy();
  });

  it('keeps what is typed while a new one is being saved, as a change of what it became', async () => {
    let letGo: () => void = () => undefined;
    const gate = new Promise<void>((resolve) => (letGo = resolve));
    const calls = show('/rules/new', {
      'POST /api/rules': async () => {
        await gate;
        return { ...rule('r1', 'Lifts'), version: 1 };
      },
      'PUT /api/rules/r1': rule('r1', 'Lifts and stairs'),
    });
    fireEvent.change(await screen.findByLabelText(/Name, as/), { target: { value: 'Lifts' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() => expect(calls.find((call) => call.method === 'POST')).toBeTruthy());
    fireEvent.change(screen.getByLabelText(/Name, as/), { target: { value: 'Lifts and stairs' } });
    letGo();
    expect(await screen.findByText(/Lifts saved/)).toBeTruthy();
    await waitFor(() => expect(screen.queryByText('A new rule')).toBeNull());
    expect(await screen.findByDisplayValue('Lifts and stairs')).toBeTruthy();
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        id: 'r1',
        version: 1,
        name: 'Lifts and stairs',
      }),
    );
  });

  it('begins with the event that it was asked for, and with none that there is not', async () => {
    show('/rules/new?when=stage');
    expect((await screen.findByLabelText<HTMLSelectElement>('What sets it off')).value).toBe('stage');
    cleanup();
    show('/rules/new?when=midsummer');
    expect((await screen.findByLabelText<HTMLSelectElement>('What sets it off')).value).toBe('received');
  });

  it('says what is wrong beside its field', async () => {
    show('/rules/new', {
      'POST /api/rules': () =>
        problem(422, 'Wrong', [
          { path: 'name', message: 'A rule has a name.' },
          { path: 'then.0.tag', message: 'This is needed too.' },
        ]),
    });
    fireEvent.change(await screen.findByLabelText('What it does'), { target: { value: 'tag' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(await screen.findByText('A rule has a name.')).toBeTruthy();
    expect(screen.getByText('This is needed too.')).toBeTruthy();
  });

  it('shows the plan without and with the rule', async () => {
    show('/rules/r1', {
      'POST /api/rules/dry-run': {
        holds: true,
        without: { fingerprint: 'f', open: 0, lines: [line('project', 'Open Repair')] },
        with: {
          fingerprint: 'f',
          open: 0,
          lines: [line('project', 'Open Repair'), line('tag', 'Tag the project stairs')],
        },
      },
    });
    await screen.findByText('Orla Fennick, Piano inquiry');
    fireEvent.click(screen.getByText('Try it'));
    const table = within(await screen.findByRole('table'));
    expect(table.getByText('Tag the project stairs')).toBeTruthy();
    expect(table.getByText('no such line')).toBeTruthy();
    expect(table.queryByText('Open Repair')).toBeNull();
  });

  it('looks back, tells how far it is, and stops', async () => {
    const look = {
      id: 'l1',
      state: 'running',
      days: 90,
      total: 100,
      done: 40,
      touched: 7,
      lines: ['a note'],
      examples: [],
    };
    const calls = show('/rules/r1', {
      'POST /api/rules/look-backs': look,
      'GET /api/rules/look-backs/l1': look,
      'POST /api/rules/look-backs/l1/cancel': { ...look, state: 'cancelled' },
    });
    fireEvent.click(await screen.findByText('90 days'));
    expect(await screen.findByText(/so far, of 100/)).toBeTruthy();
    fireEvent.click(screen.getByText('stop'));
    expect(await screen.findByText(/Stopped/)).toBeTruthy();
    expect(calls.some((call) => call.path.endsWith('/cancel'))).toBe(true);
  });

  it('is set off by a stage, gives by turns, and sets a field', async () => {
    const calls = show('/rules/new', { 'POST /api/rules': rule('r9', 'Won') });
    fireEvent.change(await screen.findByLabelText(/Name, as/), { target: { value: 'Won' } });
    fireEvent.change(screen.getByLabelText('What sets it off'), { target: { value: 'stage' } });
    fireEvent.change(screen.getByLabelText('Stage'), { target: { value: 'Quote' } });
    expect(screen.queryByText(/accept the plan by itself/)).toBeNull();
    expect(screen.getByText('As if it happened now to')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('What it does'), { target: { value: 'lead' } });
    fireEvent.change(screen.getByLabelText('Who'), { target: { value: 'rota' } });
    expect(screen.getByLabelText<HTMLInputElement>('Pim').checked).toBe(true);
    fireEvent.change(screen.getByLabelText('What it does'), { target: { value: 'field' } });
    fireEvent.change(screen.getByLabelText('Value'), { target: { value: '{{client}}' } });
    fireEvent.change(screen.getByLabelText('What it does'), { target: { value: 'message' } });
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'POST')?.body).toMatchObject({
        when: 'stage',
        what: 'Quote',
        then: [
          { kind: 'lead', staff: 'rota', among: 's1' },
          { kind: 'field', record: 'client', field: 'organisation', value: '{{client}}' },
          { kind: 'message', template: 'confirmation' },
        ],
      }),
    );
  });

  it('offers what a text may name, and puts it where one was writing', async () => {
    show('/rules/new', {});
    fireEvent.change(await screen.findByLabelText('What it does'), { target: { value: 'note' } });
    const note = screen.getByLabelText<HTMLInputElement>('Note');
    fireEvent.change(note, { target: { value: 'Go to  first' } });
    note.setSelectionRange(6, 6);
    const pick = screen.getByLabelText('Put an answer into: Note');
    expect(within(pick).queryByText('the client’s name')).toBeNull();
    fireEvent.change(pick, { target: { value: 'place' } });
    expect(note.value).toBe('Go to {{place}} first');
    await waitFor(() => expect(note.selectionStart).toBe(15));
    fireEvent.change(screen.getByLabelText('What sets it off'), { target: { value: 'stage' } });
    expect(within(screen.getByLabelText('Put an answer into: Note')).getByText('the client’s name')).toBeTruthy();
  });

  it('may wait for a task, or for a field of a client', async () => {
    const calls = show('/rules/r1', { 'PUT /api/rules/r1': rule('r1', 'Stairs') });
    fireEvent.change(await screen.findByLabelText('What sets it off'), { target: { value: 'client' } });
    fireEvent.change(screen.getByLabelText('Field'), { target: { value: 'email' } });
    expect(screen.getByLabelText('Field')).toHaveProperty('value', 'email');
    fireEvent.change(screen.getByLabelText('What sets it off'), { target: { value: 'task' } });
    fireEvent.change(screen.getByLabelText('Task'), { target: { value: 'First talk' } });
    fireEvent.click(screen.getByLabelText(/added by hand/));
    fireEvent.keyDown(window, { key: 'Enter', code: 'Enter', ctrlKey: true });
    await waitFor(() =>
      expect(calls.find((call) => call.method === 'PUT')?.body).toMatchObject({
        when: 'task',
        what: 'First talk',
        alsoByHand: true,
      }),
    );
  });

  it('lists where it spoke and what it was, and brings an older one back', async () => {
    const version = (words: string, text: string) => ({
      at: '2026-11-24T09:00:00+00:00',
      by: 'Nessa Quarle',
      words,
      rule: { name: 'Stairs', then: [{ kind: 'note', text }] },
    });
    show('/rules/r1', {
      'GET /api/rules/r1/uses': {
        items: [
          {
            record: { kind: 'submission', id: 'a1', label: 'A-0001 Orla Fennick' },
            at: '2026-11-24T09:00:00+00:00',
            failure: 'a checklist that is gone',
            takenBack: true,
          },
        ],
      },
      'GET /api/rules/r1/versions': {
        items: [version('does something else', 'new'), version('made', 'the older note')],
      },
    });
    expect((await screen.findByText('A-0001 Orla Fennick')).getAttribute('href')).toBe('/arrivals/a1?state=accepted');
    expect(screen.getByText(/named a checklist that is gone/)).toBeTruthy();
    expect(screen.getByText(/taken back/)).toBeTruthy();
    fireEvent.click(screen.getByText('bring it back'));
    expect(await screen.findByDisplayValue('the older note')).toBeTruthy();
  });

  it('is tried on answers that nobody has sent', async () => {
    const asked = question({ key: 'name', type: 'short-text', wording: 'Your name' });
    const calls = show('/rules/r1', {
      'GET /api/public/forms/inquiry': {
        slug: 'inquiry',
        title: 'Piano inquiry',
        intro: '',
        privacy: '',
        pages: [{ key: 'p', title: '', next: 'Send', questions: [asked] }],
        today: '2026-11-25',
        dayOrder: 'day-first',
        steps: [],
        version: 1,
        checkPage: false,
        copy: false,
      },
      'POST /api/rules/dry-run': {
        holds: false,
        with: { fingerprint: 'f', open: 0, lines: [] },
        without: { fingerprint: 'f', open: 0, lines: [] },
      },
    });
    fireEvent.change(await screen.findByLabelText('Made-up sample'), { target: { value: 'inquiry' } });
    fireEvent.change(await screen.findByLabelText(/Your name/), { target: { value: 'Tess' } });
    fireEvent.click(screen.getByText('Show both plans'));
    expect(await screen.findByText(/It does not hold for this one/)).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/rules/dry-run')?.body).toMatchObject({
      sample: { form: 'inquiry', answers: { name: 'Tess' } },
    });
  });

  it('is tried on a project where it waits for something to happen', async () => {
    const calls = show('/rules/r1', {
      'GET /api/rules': { ...list, items: [rule('r1', 'Won', { when: 'stage', what: 'Quote' })] },
      'GET /api/projects': {
        items: [
          { id: 'p1', number: 'P-0001', title: 'Repair', client: { kind: 'client', id: 'c1', label: 'Orla Fennick' } },
        ],
        next: null,
      },
      'POST /api/rules/dry-run': {
        holds: true,
        with: { fingerprint: '', open: 0, lines: [line('task', 'Thank Orla')] },
        without: { fingerprint: '', open: 0, lines: [] },
      },
    });
    await screen.findByText('P-0001 Repair, Orla Fennick');
    fireEvent.click(screen.getByText('Try it'));
    expect(await screen.findByText('Thank Orla')).toBeTruthy();
    expect(calls.find((call) => call.path === '/api/rules/dry-run')?.body).toMatchObject({
      project: 'p1',
      rule: { when: 'stage' },
    });
  });
});
