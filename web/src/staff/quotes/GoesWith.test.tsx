import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { GoesWith } from './GoesWith';

const file = (id: string, name: string) => ({
  id,
  name,
  note: '',
  forOffice: false,
  signed: false,
  size: 12,
  type: 'application/pdf',
  isImage: false,
});
const files = [file('a', 'front.jpg'), file('b', 'report.pdf')];

describe('what goes with a quote', () => {
  afterEach(() => cleanup());

  it('is ticked and taken away, in the order chosen', () => {
    const change = vi.fn();
    render(<GoesWith files={files} content={{ lines: [], attachments: ['b'] }} onChange={change} />);
    fireEvent.click(screen.getByLabelText(/front\.jpg/));
    expect(change).toHaveBeenLastCalledWith({ lines: [], attachments: ['b', 'a'] });
    fireEvent.click(screen.getByLabelText(/report\.pdf/));
    expect(change).toHaveBeenLastCalledWith({ lines: [], attachments: [] });
  });

  it('is only told once the client has it, and not at all where nothing goes with it', () => {
    const { rerender, container } = render(
      <GoesWith files={files} content={{ lines: [], attachments: ['b'] }} onChange={undefined} />,
    );
    expect(screen.queryByRole('checkbox')).toBeNull();
    expect(container.textContent).toContain('report.pdf');
    expect(container.textContent).not.toContain('front.jpg');
    rerender(<GoesWith files={files} content={{ lines: [] }} onChange={undefined} />);
    expect(container.textContent).toBe('');
  });
});
