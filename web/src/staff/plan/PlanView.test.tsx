import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { AddLines } from './AddLines';
import { LineEditor } from './LineEditor';
import { PlanView } from './PlanView';
import type { Plan, PlanLine } from './deciding';

const words = (text: string): PlanLine['parts'][number] => ({ text, value: false, answer: null, record: null });

function plan(chosen: string | null): Plan {
  return {
    fingerprint: 'f',
    open: chosen === null ? 1 : 0,
    lines: [
      {
        number: 1,
        key: 'client',
        group: 'Client',
        parts: [
          words('Same person as '),
          {
            text: 'Orla Fennick',
            value: true,
            answer: null,
            record: { kind: 'client', id: 'c1', label: 'Orla Fennick', path: '/clients/c1' },
          },
        ],
        note: '',
        reason: 'same mail address',
        leads: null,
        choice: {
          key: 'client',
          open: false,
          chosen: 'same',
          options: [
            { value: 'same', hotkey: 'S', label: 'Same' },
            { value: 'new', hotkey: 'N', label: 'New' },
          ],
        },
        dropped: false,
        amended: false,
        canDrop: false,
        fields: [],
        compared: [
          {
            field: 'Phone',
            here: '+353 20 914 3327',
            there: '+353 20 914 3372',
            verdict: 'differs, both kept',
            same: false,
            answer: 3,
            weight: -1.9,
          },
        ],
      },
      {
        number: 2,
        key: 'ready_by',
        group: 'Project',
        parts: [
          words('Ready by '),
          { text: '04/05/2027', value: true, answer: 7, record: null },
          words(': which day is meant?'),
        ],
        note: '',
        reason: 'day or month first?',
        leads: { kind: 'rule', id: 'r1' },
        choice: {
          key: 'ready_by',
          open: chosen === null,
          chosen,
          options: [
            { value: '2027-04-05', hotkey: '1', label: 'Mon 5 April 2027' },
            { value: '2027-05-04', hotkey: '2', label: 'Tue 4 May 2027' },
          ],
        },
        dropped: false,
        amended: false,
        canDrop: false,
        fields: [],
        compared: [],
      },
    ],
  };
}

function show(chosen: string | null = null) {
  const onDecide = vi.fn();
  render(
    <MemoryRouter>
      <PlanView plan={plan(chosen)} onDecide={onDecide} />
    </MemoryRouter>,
  );
  return onDecide;
}

describe('the plan', () => {
  afterEach(cleanup);

  it('reads line by line, with the way to records and answers', () => {
    show();
    expect(screen.getByRole('link', { name: 'Orla Fennick' }).getAttribute('href')).toBe('/clients/c1');
    expect(screen.getByRole('link', { name: 'from answer 7' })).toBeTruthy();
    expect(screen.getByText('same mail address')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'day or month first?' }).getAttribute('href')).toBe('/rules/r1');
  });

  it('marks a decision and chooses nothing beforehand', () => {
    show();
    const group = screen.getByRole('group', { name: 'Line 2' });
    expect(screen.getByText('Decide')).toBeTruthy();
    for (const button of within(group).getAllByRole('button'))
      expect(button.getAttribute('aria-pressed')).toBe('false');
  });

  it('is decided by press and by key', () => {
    const onDecide = show();
    fireEvent.click(screen.getByRole('button', { name: /Tue 4 May/ }));
    expect(onDecide).toHaveBeenLastCalledWith('ready_by', '2027-05-04');
    fireEvent.keyDown(window, { key: '1', code: 'Digit1' });
    expect(onDecide).toHaveBeenLastCalledWith('ready_by', '2027-04-05');
    fireEvent.keyDown(window, { key: 'n', code: 'KeyN' });
    expect(onDecide).toHaveBeenLastCalledWith('client', 'new');
  });

  it('stays changeable after the choice', () => {
    show('2027-05-04');
    expect(screen.queryByText('Decide')).toBeNull();
    expect(screen.getByRole('button', { name: /Tue 4 May/ }).getAttribute('aria-pressed')).toBe('true');
  });

  it('shows what differs in bold, and says so', () => {
    show();
    expect(screen.getByText('27').tagName).toBe('B');
    expect(screen.getByText('72').tagName).toBe('B');
    expect(screen.getByText('differs, both kept').tagName).toBe('B');
  });

  it('adds a notice and an owner, and changes the stage', async () => {
    const offers = { staff: [{ value: 's1', label: 'Pim Tarrow' }], stages: [{ value: 'Quote', label: 'Quote' }] };
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response(JSON.stringify({ items: [], offers }), { headers: { 'Content-Type': 'application/json' } }),
      ),
    );
    const add = vi.fn();
    const keep = vi.fn();
    render(
      <QueryClientProvider client={new QueryClient()}>
        <AddLines id="a1" onAdd={add} />
        <LineEditor
          name="a1.line.project"
          fields={[{ key: 'stage', label: 'Stage', kind: 'stage', value: '' }]}
          onKeep={keep}
          onCancel={() => undefined}
        />
      </QueryClientProvider>,
    );
    await screen.findByText('Quote');
    fireEvent.change(screen.getByLabelText('Stage'), { target: { value: 'Quote' } });
    fireEvent.click(screen.getByText('Save'));
    expect(keep).toHaveBeenCalledWith({ stage: 'Quote' });
    for (const [words, label, kind] of [
      ['a notice', 'Tell', 'notice'],
      ['an owner', 'Looks after the client', 'owner'],
    ] as const) {
      fireEvent.click(screen.getByText(words));
      fireEvent.change(await screen.findByLabelText(label), { target: { value: 's1' } });
      fireEvent.click(screen.getByText('Add'));
      expect(add).toHaveBeenLastCalledWith({ kind, values: { staff: 's1' } });
    }
  });

  it('shows choices that have no key, to be pointed at', () => {
    const decide = vi.fn();
    const [client] = plan('2027-05-04').lines as [PlanLine];
    const choice = {
      key: 'field.phone',
      open: false,
      chosen: 'both',
      options: [
        { value: 'keep', hotkey: '', label: 'Keep' },
        { value: 'both', hotkey: '', label: 'Keep both' },
      ],
    };
    render(
      <MemoryRouter>
        <PlanView plan={{ fingerprint: 'f', open: 0, lines: [{ ...client, choice }] }} onDecide={decide} />
      </MemoryRouter>,
    );
    expect(screen.getByRole('button', { name: 'Keep both' }).getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    expect(decide).toHaveBeenCalledWith('field.phone', 'keep');
  });
});
