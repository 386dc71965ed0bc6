import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { HandlingPanel } from './HandlingPanel';

const now = '2026-11-25T10:42:00+00:00';

function show(kind: 'assign' | 'remind' | 'note', error: string | null = null) {
  const onAct = vi.fn();
  const onCancel = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <HandlingPanel
        kind={kind}
        draft="a1"
        name="Orla Fennick"
        now={now}
        error={error}
        onAct={onAct}
        onCancel={onCancel}
      />
    </QueryClientProvider>,
  );
  return { onAct, onCancel };
}

describe('What an act still needs', () => {
  beforeEach(() => {
    const offers = {
      staff: [
        { value: 's1', label: 'Pim Tarrow' },
        { value: 's2', label: 'Sorcha Vell' },
      ],
    };
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        new Response(JSON.stringify({ items: [], offers }), { headers: { 'Content-Type': 'application/json' } }),
      ),
    );
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('is somebody, by name, by key, or nobody', async () => {
    const { onAct } = show('assign');
    await screen.findByText('Sorcha Vell');
    expect(document.activeElement?.textContent).toContain('Pim Tarrow');
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    expect(onAct).toHaveBeenLastCalledWith({ act: 'assign', assignee: 's2' });
    fireEvent.click(screen.getByText('Nobody'));
    expect(onAct).toHaveBeenLastCalledWith({ act: 'assign', assignee: '' });
  });

  it('is a time, one of four or one of her own', () => {
    const { onAct, onCancel } = show('remind');
    fireEvent.keyDown(window, { key: '3', code: 'Digit3' });
    expect(onAct).toHaveBeenLastCalledWith({ act: 'remind', remindAt: '2026-11-30T09:00:00Z' });
    fireEvent.change(screen.getByLabelText(/or at/), { target: { value: '2026-12-01T14:30' } });
    fireEvent.click(screen.getByText('Put off'));
    expect(onAct).toHaveBeenLastCalledWith({ act: 'remind', remindAt: '2026-12-01T14:30:00Z' });
    fireEvent.keyDown(window, { key: 'Escape', code: 'Escape' });
    expect(onCancel).toHaveBeenCalled();
  });

  it('is a note that says something', () => {
    const { onAct, onCancel } = show('note', 'Not kept.');
    expect(screen.getByRole('alert').textContent).toBe('Not kept.');
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Save the note' });
    expect(keep.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'Rang twice.' } });
    fireEvent.click(keep);
    expect(onAct).toHaveBeenCalledWith({ act: 'note', text: 'Rang twice.' });
    fireEvent.click(screen.getByText('Cancel'));
    expect(onCancel).toHaveBeenCalled();
  });
});
