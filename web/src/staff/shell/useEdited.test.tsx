import { act, cleanup, renderHook } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { useEdited } from './useEdited';
import { isUnsaved } from './useUnsaved';

interface Draft {
  id?: string;
  name: string;
  version: number;
}

const show = (id: string) => renderHook(() => useEdited<Draft>('thing', id)).result;
const over = (id: string) => (typed: Draft) => ({ ...typed, id, version: 2 });

afterEach(() => {
  cleanup();
  localStorage.clear();
});

describe('what is typed over a record', () => {
  it('is forgotten when it was saved as it stands', () => {
    const typing = show('a');
    act(() => typing.current.set({ name: 'one', version: 1 }));
    const saved = typing.current.sending();
    act(() => saved('a', over('a')));
    expect(typing.current.edited).toBeNull();
    expect(isUnsaved('thing.a')).toBe(false);
  });

  it('stays, as a change of the new version, when it was typed meanwhile', () => {
    const typing = show('a');
    act(() => typing.current.set({ name: 'one', version: 1 }));
    const saved = typing.current.sending();
    act(() => typing.current.set({ name: 'one and more', version: 1 }));
    act(() => saved('a', over('a')));
    expect(typing.current.edited).toEqual({ id: 'a', name: 'one and more', version: 2 });
    cleanup();
    expect(show('a').current.edited).toEqual({ id: 'a', name: 'one and more', version: 2 });
  });

  it('stays when it was begun while something else was saved', () => {
    const typing = show('a');
    const saved = typing.current.sending();
    act(() => typing.current.set({ name: 'begun', version: 1 }));
    act(() => saved('a', over('a')));
    expect(typing.current.edited).toEqual({ id: 'a', name: 'begun', version: 2 });
  });

  it('goes over to the record that a new one became', () => {
    const typing = show('new');
    act(() => typing.current.set({ name: 'one', version: 0 }));
    const saved = typing.current.sending();
    act(() => typing.current.set({ name: 'one and more', version: 0 }));
    act(() => saved('b', over('b')));
    expect(isUnsaved('thing.new')).toBe(false);
    cleanup();
    expect(show('b').current.edited).toEqual({ id: 'b', name: 'one and more', version: 2 });
  });

  it('is forgotten when it is discarded', () => {
    const typing = show('a');
    act(() => typing.current.set({ name: 'one', version: 1 }));
    act(() => typing.current.set(null));
    expect(isUnsaved('thing.a')).toBe(false);
  });
});
