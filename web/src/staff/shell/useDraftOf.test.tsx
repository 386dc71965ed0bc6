import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import './draftSync';
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

  it('goes on with what only they have changed, and with the parts of theirs that are chosen', () => {
    interface Price {
      name: string;
      text: string;
      price: string;
    }
    const { result, rerender } = renderHook(({ at, saved }) => useDraftOf<Price>('price.p1', at, saved), {
      initialProps: { at: 1, saved: { name: 'Felt', text: 'Soft', price: '4' } },
    });
    act(() => result.current.set({ name: 'Felt of mine', text: 'Soft', price: '5' }));
    rerender({ at: 2, saved: { name: 'Felt of theirs', text: 'Hard', price: '6' } });
    expect(result.current.parts.map(({ path, both }) => [path, both])).toEqual([
      ['name', true],
      ['text', false],
      ['price', true],
    ]);
    act(() => result.current.goOn(['price']));
    expect([result.current.value, result.current.from, result.current.behind]).toEqual([
      { name: 'Felt of mine', text: 'Hard', price: '6' },
      2,
      false,
    ]);
    // It counts from there: what they save next is told against that.
    rerender({ at: 3, saved: { name: 'Felt of theirs', text: 'Harder', price: '6' } });
    expect(result.current.parts.map(({ path, both }) => [path, both])).toEqual([['text', false]]);
  });

  it('is shown as another window of this browser has typed it, and goes on from there', () => {
    const one = show(1, 'Saved');
    const there = { from: 1, base: 'Saved', value: 'Typed there' };
    act(() => {
      window.dispatchEvent(
        new StorageEvent('storage', { key: 'telamon.unsaved.quote.q1', newValue: JSON.stringify(there) }),
      );
    });
    expect([one.result.current.value, one.result.current.latest()]).toEqual(['Typed there', 'Typed there']);
    act(() => {
      window.dispatchEvent(new StorageEvent('storage', { key: 'telamon.unsaved.quote.q1', newValue: null }));
    });
    expect([one.result.current.value, one.result.current.edited]).toEqual(['Saved', false]);
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
