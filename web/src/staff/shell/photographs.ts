import { createStore, del, entries, set, update } from 'idb-keyval';
import { useEffect, useSyncExternalStore } from 'react';
import { smaller } from '../../form/smaller';
import { upload } from '../../form/upload';
import { api, need, ProblemError } from '../../shared/api';
import { newKey } from '../../shared/newKey';

const most = 10_485_760;
const lock = 'telamon.photographs';
const again = 20_000;

/** A photograph on this phone that the business does not have yet. */
export interface Waiting {
  /** By which it is known again when its sending is repeated. */
  id: string;
  /** Whoever took it: nobody else on this phone sends it. */
  staff: string;
  project: string;
  name: string;
  at: number;
  /** The bytes: a blob itself is not kept by every browser. */
  bytes: ArrayBuffer;
  type: string;
  /** Once the bytes are there, under which id. */
  upload?: string;
  /** Why it is not taken, where trying again does not help. */
  refused?: string;
}

const store = () => createStore('telamon', 'photographs');
let waiting: Waiting[] = [];
let listeners: (() => void)[] = [];

function tell(next: Waiting[]): void {
  waiting = next;
  for (const listener of listeners) listener();
}

async function read(): Promise<void> {
  const all = await entries<string, Waiting>(store());
  tell(all.map(([, one]) => one).sort((a, b) => a.at - b.at));
}

/** Keeps photographs on this phone, and then sends them: what is chosen is not lost when the signal is. */
export async function take(staff: string, project: string, files: File[]): Promise<void> {
  for (const file of files) {
    const small = await smaller(file, most);
    const one: Waiting = {
      id: newKey(),
      staff,
      project,
      name: small.name,
      at: Date.now(),
      bytes: await small.arrayBuffer(),
      type: small.type,
    };
    await set(one.id, one, store());
  }
  await read();
  await send(staff);
}

export async function forget(id: string): Promise<void> {
  await del(id, store());
  await read();
}

/** Sends what waits, one after the other; in one window at a time. Returns how many went through. */
export async function send(staff: string): Promise<number> {
  if ('locks' in navigator)
    return navigator.locks.request(lock, { ifAvailable: true }, async (got) => (got ? all(staff) : 0));
  return all(staff);
}

async function all(staff: string): Promise<number> {
  let sent = 0;
  await read();
  for (const one of waiting) {
    if (one.refused || one.staff !== staff) continue;
    try {
      await put(one);
      sent += 1;
    } catch (error) {
      // No signal, signed out, or too much at once: later. What is refused for good is said.
      if (!(error instanceof ProblemError) || ![403, 404, 413, 415, 422].includes(error.status)) break;
      if (one.upload && error.status === 422) {
        // Its bytes lay there too long without a place: they are sent anew.
        const { id, project, name, at, bytes, type } = one;
        await set(id, { id, staff, project, name, at, bytes, type }, store());
        continue;
      }
      await update<Waiting>(one.id, (was) => ({ ...(was ?? one), refused: error.message }), store());
    }
  }
  await read();
  return sent;
}

async function put(one: Waiting): Promise<void> {
  const id = one.upload ?? (await upload(new File([one.bytes], one.name, { type: one.type }), () => undefined).done).id;
  await update<Waiting>(one.id, (was) => ({ ...(was ?? one), upload: id }), store());
  await need(
    api.POST('/api/files', {
      body: { uploads: [id], project: one.project },
      params: { header: { 'Idempotency-Key': one.id } },
    }),
  );
  await del(one.id, store());
}

/** What waits on this phone. */
export function usePhotographs(): Waiting[] {
  return useSyncExternalStore(
    (listener) => {
      listeners = [...listeners, listener];
      return () => {
        listeners = listeners.filter((one) => one !== listener);
      };
    },
    () => waiting,
  );
}

/** Sends what waits when the office is opened, when the signal is back, and now and then. */
export function useSendPhotographs(staff: string, onSent: () => void): void {
  useEffect(() => {
    if (!('indexedDB' in window)) return undefined;
    const go = () => {
      // After a reload nothing is known of what waits until it is read: what went through counts.
      void send(staff)
        .then((sent) => sent > 0 && onSent())
        .catch(() => undefined);
    };
    go();
    window.addEventListener('online', go);
    const timer = setInterval(() => waiting.length > 0 && go(), again);
    return () => {
      window.removeEventListener('online', go);
      clearInterval(timer);
    };
  }, [staff, onSent]);
}
