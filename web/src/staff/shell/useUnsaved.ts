import { useCallback, useEffect, useState } from 'react';

const named = (name: string) => `telamon.unsaved.${name}`;

function read(name: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(named(name)) ?? 'null');
  } catch {
    return null;
  }
}

/** Whether something was typed under this name and neither saved nor cancelled. */
export function isUnsaved(name: string): boolean {
  return read(name) !== null;
}

/** Forgets what was typed under this name: it was saved, or cancelled. */
export function forgetUnsaved(name: string): void {
  try {
    localStorage.removeItem(named(name));
  } catch {
    // A store that cannot be used holds nothing either.
  }
}

/** Keeps something under this name, as if it had been typed there. */
export function keepUnsaved(name: string, value: unknown): void {
  try {
    localStorage.setItem(named(name), JSON.stringify(value));
  } catch {
    // A full or forbidden store must not stop anybody from typing.
  }
}

/**
 * What is typed and not saved yet, kept in this browser under a name: going to another record, reloading or closing
 * loses nothing. The third value forgets it.
 */
export function useUnsaved<T>(name: string, initial: T, keeps = true): [T, (value: T) => void, () => void] {
  const [value, setValue] = useState<T>(() => (read(name) as T | null) ?? initial);
  const [changed, setChanged] = useState(() => isUnsaved(name));
  const set = useCallback(
    (next: T) => {
      setValue(next);
      setChanged(true);
      if (keeps) keepUnsaved(name, next);
    },
    [name, keeps],
  );
  const forget = useCallback(() => {
    setChanged(false);
    forgetUnsaved(name);
  }, [name]);
  useEffect(() => {
    if (!changed) return undefined;
    // Another window may have saved it meanwhile; its own state stays as it is, the store says the rest.
    const told = (event: StorageEvent) => {
      if (event.key === named(name) && event.newValue === null) setChanged(false);
    };
    window.addEventListener('storage', told);
    return () => window.removeEventListener('storage', told);
  }, [name, changed]);
  return [value, set, forget];
}
