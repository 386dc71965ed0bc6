import { api, need, ProblemError } from '../../shared/api';

/**
 * The one store of what is typed and not saved. Every key stroke is in this browser at once, and on the server a moment
 * later, so that it is there on another device, outlives this browser, and others see that it is being changed. What
 * was typed in two places is never overwritten unseen: it is a clash, which whoever typed it decides.
 */

const named = (name: string) => `telamon.unsaved.${name}`;
const noted = (name: string) => `telamon.draft.${name}`;
const ownerKey = 'telamon.drafts-of';
const parked = (staff: string) => `telamon.parked.${staff}`;

/** What the server is known to have. */
interface Noted {
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

const pause = 800;
const longestWait = 60_000;
/** The server's own limit is lower, and says so. */
const longestName = 200;

function store(): Storage | null {
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

const noteOf = (name: string) => readJson(noted(name)) as Noted | null;

function writeJson(key: string, value: unknown): void {
  try {
    store()?.setItem(key, JSON.stringify(value));
  } catch {
    // A full or forbidden store must not stop anybody from typing.
  }
}

function remove(key: string): void {
  try {
    store()?.removeItem(key);
  } catch {
    // A store that cannot be used holds nothing either.
  }
}

/** The name as the server takes it. */
function outside(name: string): string {
  return name.replace(/[^A-Za-z0-9._:-]/g, (letter) => `@${letter.charCodeAt(0).toString(16)}.`);
}

/** The other way round. */
function inside(name: string): string {
  return name.replace(/@([0-9a-f]+)\./g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));
}

type Told = (value: unknown) => void;
const listeners = new Map<string, Set<Told>>();
const timers = new Map<string, ReturnType<typeof setTimeout>>();
const flights = new Map<string, Promise<void>>();
const waits = new Map<string, number>();
const onlyHere = new Set<string>();
let clashes: Clash[] = [];
const clashListeners = new Set<() => void>();
let active = false;

function tell(name: string, value: unknown): void {
  listeners.get(name)?.forEach((told) => told(value));
}

function setClashes(next: Clash[]): void {
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
    waits.delete(name);
    soon(name, pause);
  },

  /** It was saved, or cancelled. */
  forget(name: string): void {
    remove(named(name));
    setClashes(clashes.filter((clash) => clash.name !== name));
    const note = noteOf(name);
    if (note === null) return;
    if (note.revision === 0 && !flights.has(name)) {
      // It never left this browser.
      clearTimeout(timers.get(name));
      timers.delete(name);
      remove(noted(name));
      return;
    }
    writeJson(noted(name), { ...note, ahead: true } satisfies Noted);
    soon(name, 0);
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
    soon(clash.name, 0);
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

  /** From now on the server keeps it too, for this person. */
  begin(staff: string): () => void {
    drafts.ownedBy(staff);
    active = true;
    const look = () => void lookAround();
    const seen = () => {
      if (document.visibilityState === 'visible') look();
      else for (const name of timers.keys()) soon(name, 0);
    };
    window.addEventListener('online', look);
    document.addEventListener('visibilitychange', seen);
    const timer = setInterval(() => document.visibilityState === 'visible' && look(), 30_000);
    look();
    return () => {
      active = false;
      window.removeEventListener('online', look);
      document.removeEventListener('visibilitychange', seen);
      clearInterval(timer);
      timers.forEach((one) => clearTimeout(one));
      timers.clear();
    };
  },

  isActive: () => active,
  /** For those who wait until everything is on the server. */
  settled: async () => {
    while (flights.size > 0) await Promise.all(flights.values());
  },
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

function adopt(name: string, value: unknown, revision: number): void {
  writeJson(named(name), value);
  writeJson(noted(name), { revision, ahead: false } satisfies Noted);
  tell(name, value);
}

function soon(name: string, after: number): void {
  if (!active) return;
  clearTimeout(timers.get(name));
  timers.set(
    name,
    setTimeout(() => {
      timers.delete(name);
      const before = flights.get(name) ?? Promise.resolve();
      const flight = before
        .then(() => carry(name))
        .finally(() => {
          if (flights.get(name) === flight) flights.delete(name);
        });
      flights.set(name, flight);
    }, after),
  );
}

/** Brings one name to the server: what is typed, or that it is gone. */
async function carry(name: string): Promise<void> {
  const note = noteOf(name);
  if (!active || note === null || !note.ahead || clashes.some((clash) => clash.name === name)) return;
  const value = drafts.read(name);
  const params = { path: { name: outside(name) } };
  try {
    if (value === null) {
      if (note.revision > 0)
        await need(api.DELETE('/api/drafts/{name}', { params: { ...params, query: { revision: note.revision } } }));
      if (drafts.read(name) === null) remove(noted(name));
      return;
    }
    const kept = await need(api.PUT('/api/drafts/{name}', { params, body: { revision: note.revision, value } }));
    // Typed or forgotten while it was under way: that goes next.
    const same = JSON.stringify(drafts.read(name)) === JSON.stringify(value);
    writeJson(noted(name), { revision: kept.revision, ahead: !same } satisfies Noted);
    if (!same) soon(name, pause);
    waits.delete(name);
  } catch (error) {
    await failed(name, note, error);
  }
}

async function failed(name: string, note: Noted, error: unknown): Promise<void> {
  const status = error instanceof ProblemError ? error.status : 0;
  if (status === 409) {
    // Another window of this browser may have brought it meanwhile; then its revision is known here.
    if (noteOf(name)?.revision !== note.revision) soon(name, 0);
    else await meet(name);
    return;
  }
  // What the server refuses is refused again, until something else is typed; it stays in this browser.
  if (status >= 400 && status < 500 && status !== 401 && status !== 429) return;
  const wait = Math.min(longestWait, (waits.get(name) ?? 1000) * 2);
  waits.set(name, wait);
  soon(name, wait);
}

/** Something else is on the server than what this browser knows of. */
async function meet(name: string): Promise<void> {
  const { mine } = await need(api.GET('/api/drafts/{name}', { params: { path: { name: outside(name) } } }));
  const note = noteOf(name);
  const value = drafts.read(name);
  if (mine === null) {
    if (note === null) return;
    writeJson(noted(name), { revision: 0, ahead: true } satisfies Noted);
    soon(name, 0);
  } else if (value === null || note?.ahead === false || JSON.stringify(mine.value) === JSON.stringify(value)) {
    // Nothing stands here that the other does not have; what was saved here and typed elsewhere since is offered again.
    adopt(name, mine.value, mine.revision);
  } else {
    setClashes([
      ...clashes.filter((clash) => clash.name !== name),
      { name, at: mine.at, revision: mine.revision, value: mine.value },
    ]);
  }
}

/** Looks for what was typed, saved or cancelled on other devices, and brings what did not get through. */
async function lookAround(): Promise<void> {
  let items: { name: string; revision: number }[];
  const here = Object.keys(store() ?? {})
    .filter((key) => key.startsWith(named('')))
    .map((key) => key.slice(named('').length));
  const before = new Map(here.map((name) => [name, store()?.getItem(noted(name)) ?? null]));
  try {
    ({ items } = await need(api.GET('/api/drafts')));
  } catch {
    // The next look, or being online again, makes up for it.
    return;
  }
  const there = new Map(items.map((item) => [item.name, item.revision]));
  for (const { name: outer, revision } of items) {
    const name = inside(outer);
    const note = noteOf(name);
    if (note?.revision === revision || timers.has(name) || flights.has(name)) continue;
    try {
      await meet(name);
    } catch {
      return;
    }
  }
  for (const name of here) {
    const note = noteOf(name);
    if (note === null || onlyHere.has(name)) continue;
    if (note.ahead) soon(name, 0);
    else if (
      before.get(name) === store()?.getItem(noted(name)) &&
      !there.has(outside(name)) &&
      !timers.has(name) &&
      !flights.has(name)
    ) {
      // Saved or cancelled on another device.
      remove(named(name));
      remove(noted(name));
      tell(name, null);
    }
  }
}
