import type { UseMutationResult } from '@tanstack/react-query';
import { ProblemError } from '../../shared/api';
import { useDraftOf } from '../shell/useDraftOf';
import { useToast } from '../shell/Toast';
import { useOnce } from '../shell/useOnce';

interface Saved {
  id: string;
  name: string;
  version: number;
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
  const work = useDraftOf<D>(name, saved?.version ?? 0, saved ? draftOf(saved) : nothing);
  const behind = work.behind && saved !== undefined;
  const faults =
    keep.error instanceof ProblemError
      ? Object.fromEntries(keep.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  return {
    draft: work.value,
    edited: work.edited,
    /** By field; what is wrong with none of them stands in `trouble`. */
    faults,
    trouble: keep.error && !behind && Object.keys(faults).length === 0 ? keep.error.message : '',
    /** Another version stands there than the one this draft began from: somebody saved, or took back. */
    behind,
    parts: work.parts,
    change: (part: Partial<D>) => work.set({ ...work.latest(), ...part }),
    discard: () => {
      work.discard();
      keep.reset();
    },
    /** The draft is to follow the version of now, which its writer has been told of. */
    goOn: (theirs: string[]) => {
      work.goOn(theirs);
      keep.reset();
    },
    save: () =>
      once((done) => {
        if (!work.edited || !saved) {
          done();
          return;
        }
        // What was typed while it was being saved stays, as a change of what is saved now.
        const wasSaved = work.sending();
        keep.mutate(
          { id: saved.id, version: work.from, draft: work.latest() },
          {
            onSettled: done,
            onSuccess: (now) => {
              wasSaved(now.version);
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
