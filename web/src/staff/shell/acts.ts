import { useSyncExternalStore } from 'react';

/** Something that this person did on screen and that can be taken back, in the order in which it was done. */
export interface Act {
  words: string;
  /** When the newest change on the server was made, as it was known then; a later one is taken back first. */
  after: string;
  /** Changes on the server that it stands for, where it stands for several at once. */
  covers: string[];
  undo: () => Promise<unknown>;
  redo: () => Promise<unknown>;
}

interface Acts {
  done: Act[];
  undone: Act[];
}

const most = 100;
let acts: Acts = { done: [], undone: [] };
const listeners = new Set<() => void>();

function set(next: Acts) {
  acts = next;
  for (const listener of listeners) listener();
}

export function did(act: Act): void {
  set({ done: [...acts.done.slice(-most), act], undone: [] });
}

/** Takes the newest off what was done, for it is being taken back. */
export function tookBack(act: Act): void {
  set({ done: acts.done.filter((one) => one !== act), undone: [...acts.undone.slice(-most), act] });
}

export function didAgain(act: Act): void {
  set({ done: [...acts.done, act], undone: acts.undone.filter((one) => one !== act) });
}

export function useActs(): Acts {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => acts,
  );
}
