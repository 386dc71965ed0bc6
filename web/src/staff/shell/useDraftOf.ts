import { useEffect, useRef } from 'react';
import { partsOf, taking, type Part } from './parts';
import { useUnsaved } from './useUnsaved';

interface Kept<T> {
  /** The version that was on the screen when the typing began. */
  from: number;
  /** What was on file then. */
  base?: T;
  value: T;
}

/**
 * What is typed over a record with versions, kept under the record's name and not under its version: what somebody else
 * saves meanwhile takes nothing away, and is not overwritten unseen.
 *
 * @param name of the record
 * @param version of it that is on file
 * @param saved as it is on file
 * @param keeps whether anything may be typed at all
 */
export function useDraftOf<T>(name: string, version: number, saved: T, keeps = true) {
  const [kept, setKept, forget] = useUnsaved<Kept<T> | null>(name, null, keeps);
  const newest = useRef(kept);
  useEffect(() => {
    // It may have been typed in another window.
    newest.current = kept;
  }, [kept]);
  const put = (next: Kept<T> | null) => {
    newest.current = next;
    setKept(next);
    if (next === null) forget();
  };
  const behind = kept !== null && kept.from !== version;
  const parts: Part[] = behind ? partsOf(kept.base, kept.value, saved) : [];
  return {
    value: kept?.value ?? saved,
    /** Something was typed and is not saved. */
    edited: kept !== null,
    /** What is typed now, also before it is on the screen. */
    latest: () => newest.current?.value ?? saved,
    /** The version that it is to be saved over. */
    from: kept?.from ?? version,
    /** Somebody else has saved since the typing began. */
    behind,
    /** What they changed, part by part. */
    parts,
    set: (value: T) => put({ from: newest.current?.from ?? version, base: newest.current?.base ?? saved, value }),
    discard: () => put(null),
    /**
     * It is to go over what is on file now, which its writer has been told of: what only they have changed is theirs.
     *
     * @param theirs paths of parts that were written here too, and are theirs all the same
     */
    goOn: (theirs: string[] = []) => {
      const now = newest.current;
      if (!now) return;
      const taken = partsOf(now.base, now.value, saved).filter((part) => !part.both || theirs.includes(part.path));
      put({ from: version, base: saved, value: taking(now.value, taken) });
    },
    /** Call it before it is sent; what comes back, once that is saved: what was typed meanwhile stays. */
    sending: () => {
      const sent = newest.current;
      return (now: number) => {
        const typed = newest.current;
        if (typed === null || JSON.stringify(typed) === JSON.stringify(sent)) put(null);
        else put({ from: now, ...(sent ? { base: sent.value } : {}), value: typed.value });
      };
    },
  };
}
