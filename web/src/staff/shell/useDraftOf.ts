import { useRef } from 'react';
import { useUnsaved } from './useUnsaved';

interface Kept<T> {
  /** The version that was on the screen when the typing began. */
  from: number;
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
  const put = (next: Kept<T> | null) => {
    newest.current = next;
    setKept(next);
    if (next === null) forget();
  };
  return {
    value: kept?.value ?? saved,
    /** The version that it is to be saved over. */
    from: kept?.from ?? version,
    /** Somebody else has saved since the typing began. */
    behind: kept !== null && kept.from !== version,
    set: (value: T) => put({ from: newest.current?.from ?? version, value }),
    discard: () => put(null),
    /** It is to go over what is on file now, which its writer has been told of. */
    goOn: () => {
      if (newest.current) put({ ...newest.current, from: version });
    },
    /** Call it before it is sent; what comes back, once that is saved: what was typed meanwhile stays. */
    sending: () => {
      const sent = newest.current;
      return (now: number) => {
        if (newest.current === sent || newest.current === null) put(null);
        else put({ ...newest.current, from: now });
      };
    },
  };
}
