import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useFollowing } from './following';

let newest = 'c1';
let asked = { wall: 0, other: 0 };

function Screen() {
  useFollowing(['projects', 'wall']);
  const wall = useQuery({ queryKey: ['projects', 'wall'], queryFn: () => ++asked.wall, staleTime: 60_000 });
  const other = useQuery({ queryKey: ['forms', 'list'], queryFn: () => ++asked.other, staleTime: 60_000 });
  return <p>{`wall ${wall.data ?? 0}, other ${other.data ?? 0}`}</p>;
}

describe('A screen that follows what others do', () => {
  beforeEach(() => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    newest = 'c1';
    asked = { wall: 0, other: 0 };
    vi.stubGlobal('fetch', () =>
      Promise.resolve(new Response(JSON.stringify({ newest }), { headers: { 'Content-Type': 'application/json' } })),
    );
  });
  afterEach(() => {
    cleanup();
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('asks again within five seconds once somebody has changed something, and only then', async () => {
    render(
      <QueryClientProvider client={new QueryClient()}>
        <Screen />
      </QueryClientProvider>,
    );
    await screen.findByText('wall 1, other 1');
    await vi.advanceTimersByTimeAsync(9000);
    expect(asked).toEqual({ wall: 1, other: 1 });
    newest = 'c2';
    await vi.advanceTimersByTimeAsync(5000);
    await screen.findByText('wall 2, other 1');
    await vi.advanceTimersByTimeAsync(9000);
    expect(asked).toEqual({ wall: 2, other: 1 });
  });
});
