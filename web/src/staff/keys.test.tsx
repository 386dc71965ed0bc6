import { cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keys, keysAreOff, otherKeys, turnKeys, useKey, useLetters } from './keys';

const press = (key: string, target: Element | Window = window, more: KeyboardEventInit = {}) =>
  fireEvent.keyDown(target, { key, code: `Key${key.toUpperCase()}`, ...more });

describe('keys', () => {
  beforeEach(() => localStorage.clear());
  afterEach(cleanup);

  it('mean one thing each', () => {
    const shown = [...Object.values(keys), ...otherKeys].map((key) => key.shown);
    expect(new Set(shown).size).toBe(shown.length);
  });

  it('act, and not while somebody types', () => {
    const act = vi.fn();
    renderHook(() => useKey('aside', act));
    press('a');
    expect(act).toHaveBeenCalledTimes(1);
    const { container } = render(<input />);
    press('a', container.querySelector('input') as Element);
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('but the main one acts while somebody types', () => {
    const act = vi.fn();
    renderHook(() => useKey('main', act));
    const { container } = render(<textarea />);
    fireEvent.keyDown(container.querySelector('textarea') as Element, { key: 'Enter', code: 'Enter', ctrlKey: true });
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('rest under a dialog', () => {
    const act = vi.fn();
    renderHook(() => useKey('undo', act));
    render(<div role="dialog" />);
    press('u');
    expect(act).not.toHaveBeenCalled();
  });

  it('can be turned off and on', () => {
    const act = vi.fn();
    renderHook(() => useKey('undo', act));
    turnKeys(false);
    expect(keysAreOff()).toBe(true);
    press('u');
    expect(act).not.toHaveBeenCalled();
    turnKeys(true);
    press('u');
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('leave browser shortcuts alone', () => {
    const act = vi.fn();
    renderHook(() => useKey('aside', act));
    press('a', window, { ctrlKey: true });
    expect(act).not.toHaveBeenCalled();
  });

  it('do nothing without something to do', () => {
    renderHook(() => useKey('aside', undefined));
    expect(press('a')).toBe(true);
  });

  it('of choices tell which was pressed', () => {
    const act = vi.fn();
    renderHook(() => useLetters(['S', '2'], act));
    press('s');
    fireEvent.keyDown(window, { key: '2', code: 'Digit2' });
    press('x');
    expect(act.mock.calls).toEqual([['S'], ['2']]);
  });

  it('walk with arrows, but not where arrows mean something of their own', () => {
    const act = vi.fn();
    renderHook(() => useKey('next', act));
    render(
      <>
        <div role="listbox" tabIndex={0} data-testid="choices" />
        <section className="pillar" data-testid="list" tabIndex={0} />
        <section className="pillar" data-testid="sheet" tabIndex={0} />
      </>,
    );
    const down = (at: Element | Window) => fireEvent.keyDown(at, { key: 'ArrowDown', code: 'ArrowDown' });
    down(window);
    down(screen.getByTestId('choices'));
    down(screen.getByTestId('sheet'));
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('choose with Space, which still presses a button', () => {
    const act = vi.fn();
    renderHook(() => useKey('choose', act));
    render(<button type="button">press</button>);
    fireEvent.keyDown(screen.getByText('press'), { key: ' ', code: 'Space' });
    expect(act).not.toHaveBeenCalled();
    fireEvent.keyDown(window, { key: ' ', code: 'Space' });
    expect(act).toHaveBeenCalledTimes(1);
  });

  it('undo with Ctrl Z as everywhere, and leave it to a field while somebody types', () => {
    const [undo, redo] = [vi.fn(), vi.fn()];
    renderHook(() => {
      useKey('undo', undo);
      useKey('redo', redo);
    });
    render(<input aria-label="field" />);
    fireEvent.keyDown(window, { key: 'z', code: 'KeyZ', ctrlKey: true });
    fireEvent.keyDown(screen.getByLabelText('field'), { key: 'z', code: 'KeyZ', ctrlKey: true });
    fireEvent.keyDown(window, { key: 'Z', code: 'KeyZ', ctrlKey: true, shiftKey: true });
    expect(undo).toHaveBeenCalledTimes(1);
    expect(redo).toHaveBeenCalledTimes(1);
  });
});
