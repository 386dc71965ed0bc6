import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ToastStand, useToast, type ToastMessage } from './Toast';

function Teller({ message }: { message: ToastMessage }) {
  const toast = useToast();
  return <button onClick={() => toast(message)}>Tell</button>;
}

function tell(message: ToastMessage) {
  render(
    <ToastStand>
      <Teller message={message} />
    </ToastStand>,
  );
  fireEvent.click(screen.getByText('Tell'));
}

describe('the toast', () => {
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
  });

  it('says what was done, and what stays', () => {
    tell({ words: 'Took it back.', details: ['the mail: already sent'] });
    expect(screen.getByRole('status').textContent).toContain('Took it back.');
    expect(screen.getByText('the mail: already sent')).toBeTruthy();
  });

  it('offers the way back', () => {
    const undo = vi.fn();
    tell({ words: 'Accepted', action: { label: 'Undo', shown: 'U', act: undo } });
    fireEvent.click(screen.getByText(/Undo/));
    expect(undo).toHaveBeenCalledTimes(1);
  });

  it('goes after ten seconds', () => {
    vi.useFakeTimers();
    tell({ words: 'Accepted' });
    act(() => {
      vi.advanceTimersByTime(9000);
    });
    expect(screen.queryByText('Accepted')).toBeTruthy();
    act(() => {
      vi.advanceTimersByTime(2000);
    });
    act(() => {
      vi.advanceTimersByTime(500);
    });
    expect(screen.queryByText('Accepted')).toBeNull();
  });
});
