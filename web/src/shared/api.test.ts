import { describe, expect, it, vi } from 'vitest';
import { api, need, ProblemError, worthRetrying } from './api';

function answering(status: number, body: unknown, type = 'application/json') {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'Content-Type': type } })),
  );
}

describe('answers of the server', () => {
  it('gives the data of a good one', async () => {
    answering(200, { change: null });
    expect(await need(api.GET('/api/changes/last'))).toEqual({ change: null });
  });
  it('throws a problem with its violations', async () => {
    answering(
      422,
      {
        type: 'about:blank',
        title: 'No',
        status: 422,
        detail: 'Look again.',
        violations: [{ path: 'name', message: 'Tell us.' }],
      },
      'application/problem+json',
    );
    const error = await need(api.GET('/api/changes/last')).catch((e: unknown) => e);
    expect(error).toBeInstanceOf(ProblemError);
    expect((error as ProblemError).message).toBe('Look again.');
    expect((error as ProblemError).violations).toEqual([{ path: 'name', message: 'Tell us.' }]);
  });
  it('says that the server cannot be reached', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')));
    const error = await need(api.GET('/api/changes/last')).catch((e: unknown) => e);
    expect((error as ProblemError).status).toBe(0);
    expect((error as ProblemError).message).toContain('Nothing is lost');
  });
  it('asks again only for what may come out otherwise', () => {
    expect(worthRetrying(0, new ProblemError({ status: 404 }))).toBe(false);
    expect(worthRetrying(0, new ProblemError({ status: 503 }))).toBe(true);
    expect(worthRetrying(0, new ProblemError({ status: 0 }))).toBe(true);
    expect(worthRetrying(2, new ProblemError({ status: 503 }))).toBe(false);
  });
});
