import { cleanup, fireEvent, render, renderHook } from '@testing-library/react';
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
});
