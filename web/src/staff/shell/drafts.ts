/**
 * The one store of what is typed and not saved. Every key stroke is in this browser at once, and on the server a moment
 * later, so that it is there on another device, outlives this browser, and others see that it is being changed. What
 * was typed in two places is never overwritten unseen: it is a clash, which whoever typed it decides.
 */

export const named = (name: string) => `telamon.unsaved.${name}`;
export const noted = (name: string) => `telamon.draft.${name}`;
const ownerKey = 'telamon.of';
const parked = (staff: string) => `telamon.of.${staff}`;

/** What the server is known to have. */
export interface Noted {
  revision: number;
  /** What stands here has not reached the server. */
  ahead: boolean;
}

function readJson(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

export const noteOf = (name: string) => readJson(noted(name)) as Noted | null;

/** A store that is full or forbidden must not stop anybody from typing. */
export function writeJson(key: string, value: unknown): void {
  try {
    if (value === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // It holds nothing then.
  }
}

export const remove = (key: string) => writeJson(key, undefined);

type Told = (value: unknown) => void;
const listeners = new Map<string, Set<Told>>();

/** Brings what is typed to the server; it comes a moment after the first screen. */
export interface Carrier {
  /** Something else is typed under this name, or it is gone: it goes there after so many milliseconds, or a moment. */
  soon: (name: string, after?: number) => void;
  /** Forgets one that has not gone there yet; false where it is under way. */
  drop: (name: string) => boolean;
}
let carrier: Carrier | null = null;

export function tell(name: string, value: unknown): void {
  listeners.get(name)?.forEach((told) => told(value));
}

export const drafts = {
  read(name: string): unknown {
    return readJson(named(name));
  },

  /** @param here it stays in this browser, as something else keeps it on the server */
  put(name: string, value: unknown, here = false): void {
    writeJson(named(name), value);
    if (here) return;
    writeJson(noted(name), { revision: noteOf(name)?.revision ?? 0, ahead: true } satisfies Noted);
    carrier?.soon(name);
  },

  /** It was saved, or cancelled. */
  forget(name: string): void {
    remove(named(name));
    const note = noteOf(name);
    if (note === null) return;
    if (note.revision === 0 && (carrier?.drop(name) ?? true)) {
      // It never left this browser.
      remove(noted(name));
      return;
    }
    writeJson(noted(name), { ...note, ahead: true } satisfies Noted);
    carrier?.soon(name, 0);
  },

  /** Tells of what another window or device has typed under this name; null where it is there no longer. */
  listen(name: string, told: Told): () => void {
    const all = listeners.get(name) ?? new Set<Told>();
    listeners.set(name, all.add(told));
    return () => {
      all.delete(told);
    };
  },

  /** Whose browser this is now: what somebody else has typed in it waits for them. */
  ownedBy(staff: string): void {
    const before = readJson(ownerKey) as string | null;
    if (before === staff) return;
    if (before !== null) {
      // Who owned it stands there, so the store can be used.
      const keys = Object.keys(localStorage).filter((key) => key.startsWith(named('')) || key.startsWith(noted('')));
      writeJson(parked(before), Object.fromEntries(keys.map((key) => [key, readJson(key)])));
      keys.forEach(remove);
    }
    for (const [key, value] of Object.entries((readJson(parked(staff)) ?? {}) as Record<string, unknown>))
      writeJson(key, value);
    remove(parked(staff));
    writeJson(ownerKey, staff);
  },

  /** From now on the server keeps it too; null for no longer. */
  carriedBy(next: Carrier | null): void {
    carrier = next;
  },

  isActive: () => carrier !== null,
};
