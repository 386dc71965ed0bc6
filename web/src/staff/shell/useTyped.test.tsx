import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useTyped } from './useTyped';

describe('what is typed into a filter', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  it('is on the screen at once and in the address a moment later, whole', () => {
    const onAddress = vi.fn();
    const { result } = renderHook(() => useTyped('', onAddress));
    for (const text of ['a', 'am', 'amb']) {
      act(() => result.current[1](text));
      expect(result.current[0]).toBe(text);
    }
    expect(onAddress).not.toHaveBeenCalled();
    act(() => {
      vi.advanceTimersByTime(200);
    });
    expect(onAddress.mock.calls).toEqual([['amb']]);
  });

  it('follows an address that changes by itself', () => {
    const { result, rerender } = renderHook(({ address }) => useTyped(address, () => undefined), {
      initialProps: { address: 'a' },
    });
    rerender({ address: 'b' });
    expect(result.current[0]).toBe('b');
  });

  it('is not overtaken by the address that it caused', () => {
    const { result, rerender } = renderHook(({ address }) => useTyped(address, () => undefined), {
      initialProps: { address: '' },
    });
    act(() => result.current[1]('a'));
    act(() => {
      vi.advanceTimersByTime(200);
    });
    act(() => result.current[1]('ab'));
    rerender({ address: 'a' });
    expect(result.current[0]).toBe('ab');
  });
});
