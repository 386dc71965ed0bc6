import { useCallback, useEffect, useRef, useState } from 'react';
import { drafts } from './drafts';

/** Whether something was typed under this name and neither saved nor cancelled. */
export function isUnsaved(name: string): boolean {
  return drafts.read(name) !== null;
}

/** Forgets what was typed under this name: it was saved, or cancelled. */
export function forgetUnsaved(name: string): void {
  drafts.forget(name);
}

/** Keeps something under this name, as if it had been typed there. */
export function keepUnsaved(name: string, value: unknown): void {
  drafts.put(name, value);
}

/**
 * What is typed and not saved yet, kept under a name in the one store of drafts: going to another record, reloading,
 * closing or going on at another device loses nothing. What another window or device types is shown here too. The third
 * value forgets it.
 *
 * @param keeps false where nothing may be typed; “here” where something else keeps it on the server
 */
export function useUnsaved<T>(
  name: string,
  initial: T,
  keeps: boolean | 'here' = true,
): [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => (drafts.read(name) as T | null) ?? initial);
  const first = useRef(initial);
  useEffect(() => {
    first.current = initial;
  });
  const set = useCallback(
    (next: T) => {
      setValue(next);
      if (keeps !== false) drafts.put(name, next, keeps === 'here');
    },
    [name, keeps],
  );
  const forget = useCallback(() => drafts.forget(name), [name]);
  useEffect(() => drafts.listen(name, (told) => setValue((told as T | null) ?? first.current)), [name]);
  return [value, set, forget];
}
