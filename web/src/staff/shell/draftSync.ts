import { api, need, ProblemError } from '../../shared/api';
import { drafts, named, noted, noteOf, remove, tell, writeJson, type Noted } from './drafts';

/** Brings what is typed in this browser to the server, and what was typed elsewhere here. */

export interface Clash {
  name: string;
  at: string;
  revision: number;
  value: unknown;
}

let clashes: Clash[] = [];
const told = new Set<() => void>();

function setClashes(next: Clash[]): void {
  clashes = next;
  told.forEach((tellIt) => tellIt());
}

/** What was typed in two places, and what is done with it is not decided. */
export const openClashes = (): Clash[] => clashes;

export function onClash(tellIt: () => void): () => void {
  told.add(tellIt);
  return () => {
    told.delete(tellIt);
  };
}

const pause = 800;
const longestWait = 60_000;
const timers = new Map<string, ReturnType<typeof setTimeout>>();
const flights = new Map<string, Promise<void>>();
const waits = new Map<string, number>();
/** The server's own limit. */
const longestName = 200;

/** The name as the server takes it. */
function outside(name: string): string {
  return name.replace(/[^A-Za-z0-9._:-]/g, (letter) => `@${letter.charCodeAt(0).toString(16)}.`);
}

/** The other way round. */
function inside(name: string): string {
  return name.replace(/@([0-9a-f]+)\./g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));
}

/** From now on the server keeps it too, for this person. What comes back ends that. */
export function beginDrafts(staff: string): () => void {
  drafts.ownedBy(staff);
  drafts.carriedBy({
    soon: (name, after = pause) => {
      waits.delete(name);
      if (drafts.read(name) === null) leave(name);
      soon(name, after);
    },
    drop: (name) => {
      if (flights.has(name)) return false;
      clearTimeout(timers.get(name));
      timers.delete(name);
      leave(name);
      return true;
    },
  });
  told.forEach((tellIt) => tellIt());
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
    drafts.carriedBy(null);
    window.removeEventListener('online', look);
    document.removeEventListener('visibilitychange', seen);
    clearInterval(timer);
    timers.forEach((one) => clearTimeout(one));
    timers.clear();
  };
}

/** Takes what was typed elsewhere; gives what stood here, for whoever wants it back. */
export function takeOther(clash: Clash): unknown {
  const mine = drafts.read(clash.name);
  leave(clash.name);
  adopt(clash.name, clash.value, clash.revision);
  return mine;
}

/** Goes on with what stands here. */
export function keepMine(clash: Clash): void {
  leave(clash.name);
  writeJson(noted(clash.name), { revision: clash.revision, ahead: true } satisfies Noted);
  soon(clash.name, 0);
}

/** Puts back what stood here before something else was taken. */
export function putBack(name: string, value: unknown): void {
  drafts.put(name, value);
  tell(name, value);
}

function leave(name: string): void {
  setClashes(clashes.filter((one) => one.name !== name));
}

/** For those who wait until everything is on the server. */
export async function draftsSettled(): Promise<void> {
  while (flights.size > 0) await Promise.all(flights.values());
}

function soon(name: string, after: number): void {
  if (!drafts.isActive()) return;
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
  // A name that is too long, and what something else keeps, stay in this browser.
  if (
    !drafts.isActive() ||
    note === null ||
    !note.ahead ||
    outside(name).length > longestName ||
    clashes.some((clash) => clash.name === name)
  )
    return;
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
  // What the server refuses is refused again, until something else is typed; it stays in this browser.
  if (status === 409) {
    // Another window of this browser may have brought it meanwhile; then its revision is known here.
    if (noteOf(name)?.revision !== note.revision) {
      soon(name, 0);
      return;
    }
    try {
      await meet(name);
      return;
    } catch {
      // Tried again below.
    }
  } else if (status >= 400 && status < 500 && status !== 401 && status !== 429) return;
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
  // Those too that are gone here and not yet there: the page may have been left before the server heard of it.
  const here = [
    ...new Set(
      [named(''), noted('')].flatMap((start) =>
        storedKeys()
          .filter((key) => key.startsWith(start))
          .map((key) => key.slice(start.length)),
      ),
    ),
  ];
  const before = new Map(here.map((name) => [name, JSON.stringify(noteOf(name))]));
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
    if (note === null) continue;
    if (note.ahead) soon(name, 0);
    else if (
      before.get(name) === JSON.stringify(noteOf(name)) &&
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

function adopt(name: string, value: unknown, revision: number): void {
  writeJson(named(name), value);
  writeJson(noted(name), { revision, ahead: false } satisfies Noted);
  tell(name, value);
}

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

/** All that the store holds; nothing where it cannot be used. */
function storedKeys(): string[] {
  try {
    return Object.keys(localStorage);
  } catch {
    return [];
  }
}
