/**
 * The one store of what is typed and not saved. Every key stroke is in this browser at once, and on the server a moment
 * later, so that it is there on another device, outlives this browser, and others see that it is being changed. What
 * was typed in two places is never overwritten unseen: it is a clash, which whoever typed it decides.
 */

export const named = (name: string) => `telamon.unsaved.${name}`;
export const noted = (name: string) => `telamon.draft.${name}`;
const ownerKey = 'telamon.drafts-of';
const parked = (staff: string) => `telamon.parked.${staff}`;

/** What the server is known to have. */
export interface Noted {
  revision: number;
  /** What stands here has not reached the server. */
  ahead: boolean;
}

export interface Clash {
  name: string;
  at: string;
  revision: number;
  value: unknown;
}

export const pause = 800;
/** The server's own limit is lower, and says so. */
const longestName = 200;

export function store(): Storage | null {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
}

function readJson(key: string): unknown {
  try {
    return JSON.parse(store()?.getItem(key) ?? 'null') as unknown;
  } catch {
    return null;
  }
}

export const noteOf = (name: string) => readJson(noted(name)) as Noted | null;

export function writeJson(key: string, value: unknown): void {
  try {
    store()?.setItem(key, JSON.stringify(value));
  } catch {
    // A full or forbidden store must not stop anybody from typing.
  }
}

export function remove(key: string): void {
  try {
    store()?.removeItem(key);
  } catch {
    // A store that cannot be used holds nothing either.
  }
}

/** The name as the server takes it. */
export function outside(name: string): string {
  return name.replace(/[^A-Za-z0-9._:-]/g, (letter) => `@${letter.charCodeAt(0).toString(16)}.`);
}

/** The other way round. */
export function inside(name: string): string {
  return name.replace(/@([0-9a-f]+)\./g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));
}

type Told = (value: unknown) => void;
const listeners = new Map<string, Set<Told>>();

/** Brings what is typed to the server; it comes a moment after the first screen. */
export interface Carrier {
  /** Something else is typed under this name, or it is gone: it goes there after so many milliseconds. */
  soon: (name: string, after: number) => void;
  /** Forgets one that has not gone there yet; false where it is under way. */
  drop: (name: string) => boolean;
}
let carrier: Carrier | null = null;

export const onlyHere = new Set<string>();
let clashes: Clash[] = [];
const clashListeners = new Set<() => void>();

export function tell(name: string, value: unknown): void {
  listeners.get(name)?.forEach((told) => told(value));
}

export function setClashes(next: Clash[]): void {
  clashes = next;
  clashListeners.forEach((told) => told());
}

export const drafts = {
  read(name: string): unknown {
    return readJson(named(name));
  },

  /** @param here it stays in this browser, as something else keeps it on the server */
  put(name: string, value: unknown, here = false): void {
    writeJson(named(name), value);
    if (here || outside(name).length > longestName) {
      onlyHere.add(name);
      return;
    }
    writeJson(noted(name), { revision: noteOf(name)?.revision ?? 0, ahead: true } satisfies Noted);
    carrier?.soon(name, pause);
  },

  /** It was saved, or cancelled. */
  forget(name: string): void {
    remove(named(name));
    setClashes(clashes.filter((clash) => clash.name !== name));
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

  clashes: (): Clash[] => clashes,
  onClash: (told: () => void): (() => void) => {
    clashListeners.add(told);
    return () => {
      clashListeners.delete(told);
    };
  },

  /** Takes what was typed elsewhere; gives what stood here, for whoever wants it back. */
  take(clash: Clash): unknown {
    const mine = drafts.read(clash.name);
    setClashes(clashes.filter((one) => one.name !== clash.name));
    adopt(clash.name, clash.value, clash.revision);
    return mine;
  },

  /** Goes on with what stands here. */
  keep(clash: Clash): void {
    setClashes(clashes.filter((one) => one.name !== clash.name));
    writeJson(noted(clash.name), { revision: clash.revision, ahead: true } satisfies Noted);
    carrier?.soon(clash.name, 0);
  },

  /** Puts back what stood here before something else was taken. */
  putBack(name: string, value: unknown): void {
    drafts.put(name, value);
    tell(name, value);
  },

  /** Whose browser this is now: what somebody else has typed in it waits for them. */
  ownedBy(staff: string): void {
    const before = readJson(ownerKey) as string | null;
    if (before === staff) return;
    const storage = store();
    if (before !== null && storage) {
      const keys = Object.keys(storage).filter((key) => key.startsWith(named('')) || key.startsWith(noted('')));
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
    clashListeners.forEach((told) => told());
  },

  isActive: () => carrier !== null,
};

/** Another window of this browser has typed, saved or cancelled: this one shows the same. */
function heard(event: StorageEvent): void {
  const name = event.key?.startsWith(named('')) ? event.key.slice(named('').length) : null;
  if (name === null) return;
  try {
    tell(name, event.newValue === null ? null : JSON.parse(event.newValue));
  } catch {
    // Not written by this store.
  }
}

window.addEventListener('storage', heard);

export function adopt(name: string, value: unknown, revision: number): void {
  writeJson(named(name), value);
  writeJson(noted(name), { revision, ahead: false } satisfies Noted);
  tell(name, value);
}
