import 'fake-indexeddb/auto';
import { cleanup, renderHook, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import * as uploads from '../../form/upload';
import { ProblemError, unreachable } from '../../shared/api';
import { problem, showScreen, standInForTheBrowser } from '../testing/server.test-helper';
import { Photographs, PhotographsWaiting } from './Photographs';
import { forget, send, take, usePhotographs } from './photographs';

const picture = (name: string) => new File([new Uint8Array([1, 2, 3])], name, { type: 'image/png' });
function Left() {
  const left = usePhotographs();
  return <span data-left={left.map((one) => one.id).join(' ')}>{left.length} left</span>;
}
const show = (replies: Parameters<typeof showScreen>[3] = {}) =>
  showScreen(
    '/p',
    '/p',
    <>
      <PhotographsWaiting />
      <Photographs project="p1" />
      <Left />
    </>,
    replies,
  );
const sends = (outcome: () => Promise<{ id: string; name: string; size: number; type: string }>) =>
  vi.spyOn(uploads, 'upload').mockImplementation(() => ({ done: outcome(), stop: () => undefined }));
const kept = () => Promise.resolve({ id: 'u1', name: 'a.png', size: 3, type: 'image/png' });

describe('photographs', () => {
  beforeEach(() => standInForTheBrowser());
  afterEach(async () => {
    const left = document.querySelector<HTMLElement>('[data-left]')?.dataset.left ?? '';
    for (const id of left.split(' ').filter(Boolean)) await forget(id);
    cleanup();
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
  });

  it('wait on this phone without a signal, and go by themselves when it is back', async () => {
    const calls = show({ 'POST /api/files': { items: [] } });
    const sending = sends(() => Promise.reject(unreachable()));
    await take('s1', 'p1', [picture('one.png'), picture('two.png')]);
    expect(
      await screen.findByText('2 photographs wait for a signal on this phone. They are sent by themselves.'),
    ).toBeTruthy();
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(0);
    sending.mockImplementation(() => ({ done: kept(), stop: () => undefined }));
    window.dispatchEvent(new Event('online'));
    await waitFor(() => expect(screen.getByText('0 left')).toBeTruthy());
    const posts = calls.filter((call) => call.method === 'POST');
    expect(posts.map((call) => call.body)).toEqual([
      { uploads: ['u1'], project: 'p1' },
      { uploads: ['u1'], project: 'p1' },
    ]);
    expect(new Set(posts.map((call) => call.key)).size).toBe(2);
  });

  it('are put there once where the answer was lost: under the same name, without their bytes again', async () => {
    let lost = true;
    const calls = show({
      'POST /api/files': () => {
        if (lost) throw new TypeError('Failed to fetch');
        return { items: [] };
      },
    });
    const sending = sends(kept);
    await take('s1', 'p1', [picture('one.png')]);
    expect(await screen.findByText('1 left')).toBeTruthy();
    lost = false;
    await send('s1');
    await waitFor(() => expect(screen.getByText('0 left')).toBeTruthy());
    const keys = calls.filter((call) => call.method === 'POST').map((call) => call.key);
    expect(keys).toHaveLength(2);
    expect(new Set(keys).size).toBe(1);
    expect(sending).toHaveBeenCalledTimes(1);
  });

  it('say why where one is refused for good, and keep it to be saved; the others go on', async () => {
    show({ 'POST /api/files': { items: [] } });
    let first = true;
    sends(() => {
      if (!first) return kept();
      first = false;
      return Promise.reject(new ProblemError({ status: 415, detail: 'No picture.' }));
    });
    await take('s1', 'p1', [picture('wrong.png'), picture('right.png')]);
    expect(await screen.findByText(/wrong.png is not taken: No picture/)).toBeTruthy();
    expect(screen.getByText('1 left')).toBeTruthy();
    expect(screen.getByText('Save it').getAttribute('download')).toBe('wrong.png');
  });

  it('are sent anew where their bytes lay too long without a place', async () => {
    let answers = [
      () => problem(401, 'Sign in.'),
      () => problem(422, 'A file is no longer here.'),
      () => ({ items: [] }),
    ];
    show({
      'POST /api/files': () => {
        const [next, ...rest] = answers;
        answers = rest;
        return next ? next() : { items: [] };
      },
    });
    const sending = sends(kept);
    await take('s1', 'p1', [picture('one.png')]);
    await send('s1');
    expect(screen.queryByText(/is not taken/)).toBeNull();
    await send('s1');
    await waitFor(() => expect(screen.getByText('0 left')).toBeTruthy());
    expect(sending).toHaveBeenCalledTimes(2);
  });

  it('that were there before the page was loaded are told as sent, so that the lists are asked for again', async () => {
    show({ 'POST /api/files': { items: [] } });
    sends(() => Promise.reject(unreachable()));
    await take('s1', 'p1', [picture('one.png')]);
    expect(await screen.findByText('1 left')).toBeTruthy();
    // As after a reload: what waits is in the database, and nothing of it is known yet.
    vi.resetModules();
    vi.doMock('../../form/upload', () => ({ upload: () => ({ done: kept(), stop: () => undefined }) }));
    const again = await import('./photographs');
    const told = vi.fn();
    renderHook(() => again.useSendPhotographs('s1', told));
    await waitFor(() => expect(told).toHaveBeenCalledTimes(1));
    vi.doUnmock('../../form/upload');
    await send('s1');
    expect(screen.getByText('0 left')).toBeTruthy();
  });

  it('of somebody else who used this phone wait for them, and stop nobody', async () => {
    const calls = show({ 'POST /api/files': { items: [] } });
    sends(() => Promise.reject(unreachable()));
    await take('s2', 'p1', [picture('hers.png')]);
    sends(kept);
    await take('s1', 'p1', [picture('mine.png')]);
    await waitFor(() => expect(screen.getByText('1 left')).toBeTruthy());
    expect(calls.filter((call) => call.method === 'POST')).toHaveLength(1);
    expect(screen.queryByText(/waits for a signal/)).toBeNull();
  });

  it('wait while nobody is signed in', async () => {
    show({ 'POST /api/files': () => problem(401, 'Sign in.') });
    sends(kept);
    await take('s1', 'p1', [picture('one.png')]);
    expect(await screen.findByText(/1 photograph waits for a signal/)).toBeTruthy();
  });
});
