import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { drafts } from './drafts';
import { beginDrafts, draftsSettled, keepMine, openClashes, putBack, takeOther } from './draftSync';

interface Row {
  revision: number;
  value: unknown;
}

/** The server's side, as the contract has it; what another device does is done to `rows`. */
class Server {
  rows = new Map<string, Row>();
  away = false;
  calls: string[] = [];

  answer = async (request: Request): Promise<Response> => {
    if (this.away) throw new TypeError('no network');
    const url = new URL(request.url);
    const name = decodeURIComponent(url.pathname.replace('/api/drafts', '').slice(1));
    this.calls.push(`${request.method} ${name}`);
    const row = this.rows.get(name);
    if (request.method === 'GET' && name === '')
      return json({ items: [...this.rows].map(([one, { revision }]) => ({ name: one, revision, at })) });
    if (request.method === 'GET') return json({ mine: row ? { ...row, at } : null, others: [] });
    if (request.method === 'DELETE') {
      if (row && row.revision > Number(url.searchParams.get('revision'))) return json({}, 409);
      this.rows.delete(name);
      return new Response(null, { status: 204 });
    }
    const body = (await request.json()) as Row;
    if (row && JSON.stringify(row.value) === JSON.stringify(body.value)) return json({ ...row, at });
    if (row && row.revision !== body.revision) return json({}, 409);
    const next = { revision: (row?.revision ?? 0) + 1, value: body.value };
    this.rows.set(name, next);
    return json({ ...next, at });
  };
}

const at = '2026-11-25T10:42:00+00:00';

function json(body: unknown, status = 200): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { 'Content-Type': status < 400 ? 'application/json' : 'application/problem+json' },
  });
}

let server: Server;
let end: () => void;

async function pass(milliseconds: number) {
  await vi.advanceTimersByTimeAsync(milliseconds);
  await draftsSettled();
}

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new Server();
  vi.stubGlobal('fetch', (request: Request) => server.answer(request));
  end = beginDrafts('nessa');
});

afterEach(() => {
  for (const clash of openClashes()) takeOther(clash);
  end();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what is typed', () => {
  it('is in this browser at once, on the server a moment later, and gone from both when it was saved', async () => {
    drafts.put('quote.q1', 'One');
    drafts.put('quote.q1', 'One two');
    expect(drafts.read('quote.q1')).toBe('One two');
    await pass(1000);
    expect(server.rows.get('quote.q1')).toEqual({ revision: 1, value: 'One two' });
    expect(server.calls.filter((call) => call === 'PUT quote.q1')).toHaveLength(1);
    drafts.put('quote.q1', 'One two three');
    await pass(1000);
    expect(server.rows.get('quote.q1')?.revision).toBe(2);
    drafts.forget('quote.q1');
    await pass(10);
    expect(server.rows.size).toBe(0);
    expect(drafts.read('quote.q1')).toBeNull();
  });

  it('goes there once the network is back', async () => {
    server.away = true;
    drafts.put('write.c1', 'Dear Orla');
    await pass(10_000);
    expect(drafts.read('write.c1')).toBe('Dear Orla');
    server.away = false;
    window.dispatchEvent(new Event('online'));
    await pass(1000);
    expect(server.rows.get('write.c1')?.value).toBe('Dear Orla');
  });

  it('goes there by itself too, with growing waits, and after a reload', async () => {
    server.away = true;
    drafts.put('write.c1', 'Dear Orla');
    await pass(2000);
    end();
    server.away = false;
    end = beginDrafts('nessa');
    await pass(1000);
    expect(server.rows.get('write.c1')?.value).toBe('Dear Orla');
  });

  it('is gone from the server too where it was saved just before the page was left', async () => {
    drafts.put('quote.q1', 'One');
    await pass(1000);
    server.away = true;
    drafts.forget('quote.q1');
    await pass(100);
    end();
    server.away = false;
    end = beginDrafts('nessa');
    await pass(1000);
    expect([...server.rows.keys()]).toEqual([]);
    expect(drafts.read('quote.q1')).toBeNull();
  });

  it('that never left this browser leaves nothing when it is cancelled', async () => {
    drafts.put('quote.q1', 'One');
    drafts.forget('quote.q1');
    await pass(2000);
    expect(server.calls.filter((call) => !call.startsWith('GET'))).toEqual([]);
    expect(Object.keys(localStorage)).toEqual(['telamon.of']);
  });

  it('under a name with any letters arrives under one that an address may have', async () => {
    drafts.put('note.Orla Ó Fennick', 'Ring');
    await pass(1000);
    expect([...server.rows.keys()]).toEqual(['note.Orla@20.@d3.@20.Fennick']);
    server.rows.set('note.Orla@20.@d3.@20.Fennick', { revision: 2, value: 'Ring her' });
    await pass(31_000);
    expect(drafts.read('note.Orla Ó Fennick')).toBe('Ring her');
    // On a device that has never had it, it goes by its own name too.
    end();
    localStorage.clear();
    end = beginDrafts('nessa');
    await pass(10);
    expect(drafts.read('note.Orla Ó Fennick')).toBe('Ring her');
  });
});

describe('what is typed on another device', () => {
  it('is shown here, also where the screen is open', async () => {
    const told = vi.fn();
    const stop = drafts.listen('write.c1', told);
    server.rows.set('write.c1', { revision: 3, value: 'From the phone' });
    await pass(31_000);
    expect(told).toHaveBeenLastCalledWith('From the phone');
    expect(drafts.read('write.c1')).toBe('From the phone');
    // Going on here goes on from there.
    drafts.put('write.c1', 'From the phone, and on');
    await pass(1000);
    expect(server.rows.get('write.c1')).toEqual({ revision: 4, value: 'From the phone, and on' });
    // Saved there: it is gone here.
    server.rows.clear();
    await pass(31_000);
    expect(told).toHaveBeenLastCalledWith(null);
    expect(drafts.read('write.c1')).toBeNull();
    stop();
  });

  it('is not overwritten by what is typed here: both are offered', async () => {
    drafts.put('write.c1', 'Here');
    server.rows.set('write.c1', { revision: 1, value: 'There' });
    await pass(1000);
    expect(openClashes()).toEqual([{ name: 'write.c1', at, revision: 1, value: 'There' }]);
    expect([drafts.read('write.c1'), server.rows.get('write.c1')?.value]).toEqual(['Here', 'There']);
    // While nobody has decided, what is typed on stays here and overwrites nothing.
    drafts.put('write.c1', 'Here still');
    await pass(35_000);
    expect(server.rows.get('write.c1')?.value).toBe('There');
    const [clash] = openClashes();
    if (!clash) throw new Error('no clash');
    keepMine(clash);
    await pass(1000);
    expect(server.rows.get('write.c1')).toEqual({ revision: 2, value: 'Here still' });
    expect(openClashes()).toEqual([]);
  });

  it('can be taken, and what stood here put back', async () => {
    drafts.put('write.c1', 'Here');
    server.rows.set('write.c1', { revision: 1, value: 'There' });
    await pass(1000);
    const [clash] = openClashes();
    if (!clash) throw new Error('no clash');
    const mine = takeOther(clash);
    expect([mine, drafts.read('write.c1')]).toEqual(['Here', 'There']);
    putBack('write.c1', mine);
    await pass(1000);
    expect(server.rows.get('write.c1')).toEqual({ revision: 2, value: 'Here' });
  });

  it('is offered again where this one was saved meanwhile', async () => {
    drafts.put('write.c1', 'One');
    await pass(1000);
    server.rows.set('write.c1', { revision: 2, value: 'One, and more from the phone' });
    drafts.forget('write.c1');
    await pass(1000);
    expect(drafts.read('write.c1')).toBe('One, and more from the phone');
  });
});

describe('another window of this browser', () => {
  it('shows what is typed here, and says when it was saved', () => {
    const told = vi.fn();
    const stop = drafts.listen('write.c1', told);
    window.dispatchEvent(new StorageEvent('storage', { key: 'telamon.unsaved.write.c1', newValue: '"Typed there"' }));
    window.dispatchEvent(new StorageEvent('storage', { key: 'telamon.unsaved.write.c1', newValue: null }));
    window.dispatchEvent(new StorageEvent('storage', { key: 'telamon.unsaved.write.c2', newValue: '"Another"' }));
    expect(told.mock.calls).toEqual([['Typed there'], [null]]);
    stop();
  });

  it('that has brought the same to the server first is no clash', async () => {
    drafts.put('write.c1', 'Typed in both');
    // The other window was faster, and has noted what it brought.
    server.rows.set('write.c1', { revision: 1, value: 'Typed in bo' });
    const put = vi.fn((request: Request) => {
      localStorage.setItem('telamon.draft.write.c1', JSON.stringify({ revision: 1, ahead: true }));
      return server.answer(request);
    });
    vi.stubGlobal('fetch', (request: Request) => (request.method === 'PUT' ? put(request) : server.answer(request)));
    await pass(1000);
    await pass(1000);
    expect(openClashes()).toEqual([]);
    expect(server.rows.get('write.c1')).toEqual({ revision: 2, value: 'Typed in both' });
  });
});

describe('somebody else at the same browser', () => {
  it('finds only their own, and the first finds theirs again', async () => {
    drafts.put('quote.q1', 'Nessa’s');
    end();
    end = beginDrafts('sorcha');
    expect(drafts.read('quote.q1')).toBeNull();
    drafts.put('quote.q2', 'Sorcha’s');
    await pass(1000);
    expect([...server.rows.keys()]).toEqual(['quote.q2']);
    server.rows.clear();
    end();
    end = beginDrafts('nessa');
    expect([drafts.read('quote.q1'), drafts.read('quote.q2')]).toEqual(['Nessa’s', null]);
    await pass(1000);
    expect([...server.rows.keys()]).toEqual(['quote.q1']);
  });
});
