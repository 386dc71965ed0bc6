import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useDraftOf } from './useDraftOf';

afterEach(() => {
  cleanup();
  localStorage.clear();
});

const show = (version: number, saved: string, name = 'quote.q1') =>
  renderHook(({ at, text }) => useDraftOf(name, at, text), { initialProps: { at: version, text: saved } });

describe('what is typed over a record', () => {
  it('outlives what a colleague saves, going away, and coming back', () => {
    const first = show(1, 'Theirs before');
    act(() => first.result.current.set('Mine'));
    first.rerender({ at: 2, text: 'Theirs now' });
    expect([first.result.current.value, first.result.current.behind, first.result.current.from]).toEqual([
      'Mine',
      true,
      1,
    ]);
    first.unmount();
    const again = show(3, 'Theirs since');
    expect([again.result.current.value, again.result.current.behind]).toEqual(['Mine', true]);
    act(() => again.result.current.goOn());
    expect([again.result.current.value, again.result.current.behind, again.result.current.from]).toEqual([
      'Mine',
      false,
      3,
    ]);
  });

  it('gives way to theirs where that is wanted, and is not there for another record', () => {
    const one = show(1, 'Saved');
    act(() => one.result.current.set('Mine'));
    expect(show(1, 'Other', 'quote.q2').result.current.value).toBe('Other');
    one.rerender({ at: 2, text: 'Theirs' });
    act(() => one.result.current.discard());
    expect([one.result.current.value, one.result.current.behind, one.result.current.from]).toEqual([
      'Theirs',
      false,
      2,
    ]);
    expect(localStorage.length).toBe(0);
  });

  it('is gone once it is saved, and stays where it was typed while it was being saved', () => {
    const one = show(1, 'Saved');
    act(() => one.result.current.set('Mine'));
    let saved = one.result.current.sending();
    act(() => saved(2));
    one.rerender({ at: 2, text: 'Mine' });
    expect([one.result.current.value, one.result.current.behind]).toEqual(['Mine', false]);
    expect(localStorage.length).toBe(0);

    act(() => one.result.current.set('Mine, more'));
    saved = one.result.current.sending();
    act(() => one.result.current.set('Mine, more and more'));
    act(() => saved(3));
    one.rerender({ at: 3, text: 'Mine, more' });
    expect([one.result.current.value, one.result.current.behind, one.result.current.from]).toEqual([
      'Mine, more and more',
      false,
      3,
    ]);
  });

  it('keeps nothing where nothing may be typed', () => {
    const { result } = renderHook(() => useDraftOf('quote.q3', 1, 'Signed', false));
    act(() => result.current.set('Other'));
    expect(localStorage.length).toBe(0);
  });
});
