import type { UseMutationResult } from '@tanstack/react-query';
import { useRef } from 'react';
import { ProblemError } from '../../shared/api';
import { useToast } from '../shell/Toast';
import { useOnce } from '../shell/useOnce';
import { useUnsaved } from '../shell/useUnsaved';

interface Saved {
  id: string;
  name: string;
  version: number;
}

interface Edited<D> {
  /** The version that was on the screen when the editing began. */
  from: number;
  draft: D;
}

/**
 * A record with versions and what is typed over it, kept under its name. The draft remembers which version it came
 * from: what somebody else saves meanwhile is neither overwritten unseen nor lost.
 */
export function useVersioned<D, S extends Saved>(
  name: string,
  saved: S | undefined,
  draftOf: (saved: S) => D,
  nothing: D,
  keep: UseMutationResult<S, Error, { id: string | undefined; version: number; draft: D }>,
) {
  const toast = useToast();
  const once = useOnce();
  const [edited, setEdited, forget] = useUnsaved<Edited<D> | null>(name, null);
  const newest = useRef(edited);
  const set = (next: Edited<D> | null) => {
    newest.current = next;
    setEdited(next);
    if (next === null) forget();
  };
  const draft = edited?.draft ?? (saved ? draftOf(saved) : nothing);
  const faults =
    keep.error instanceof ProblemError
      ? Object.fromEntries(keep.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  const behind = edited !== null && saved !== undefined && saved.version !== edited.from;
  const discard = () => {
    set(null);
    keep.reset();
  };
  return {
    draft,
    edited: edited !== null,
    /** By field; what is wrong with none of them stands in `trouble`. */
    faults,
    trouble: keep.error && !behind && Object.keys(faults).length === 0 ? keep.error.message : '',
    /** Another version stands there than the one this draft began from: somebody saved, or took back. */
    behind,
    change: (part: Partial<D>) => {
      const now = newest.current;
      set({ from: now?.from ?? saved?.version ?? 0, draft: { ...(now?.draft ?? draft), ...part } });
    },
    discard,
    /** The draft is to follow the version of now, which its writer has been told of. */
    goOn: () => {
      if (edited && saved) set({ ...edited, from: saved.version });
      keep.reset();
    },
    save: () =>
      once((done) => {
        const sent = newest.current;
        if (!sent || !saved) {
          done();
          return;
        }
        keep.mutate(
          { id: saved.id, version: sent.from, draft: sent.draft },
          {
            onSettled: done,
            onSuccess: (now) => {
              // What was typed while it was being saved stays, as a change of what is saved now.
              if (newest.current === sent) discard();
              else if (newest.current) set({ ...newest.current, from: now.version });
              toast({ words: `${now.name} saved, version ${now.version}. U takes it back.` });
            },
          },
        );
      }),
  };
}

/** A name that none of these has: “New template”, “New template 2”. */
export function freeName(name: string, taken: string[]): string {
  let free = name;
  for (let n = 2; taken.includes(free); n += 1) free = `${name} ${n}`;
  return free;
}
