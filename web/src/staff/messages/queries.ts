import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type MessageState = Schema<'MessageState'>;

/** Messages that went out or will; asked for again every five seconds, while the worker sends. */
export function useMessages(state: MessageState | '') {
  return useInfiniteQuery({
    queryKey: queryKeys.messages(state),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/messages', {
          params: {
            query: { ...(state ? { state } : {}), ...(pageParam ? { cursor: pageParam } : {}) },
          },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: 5000,
  });
}

export function useMessage(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.message(id ?? ''),
    queryFn: () => need(api.GET('/api/messages/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    refetchInterval: (query) =>
      query.state.data?.state === 'queued' || query.state.data?.state === 'sending' ? 2000 : false,
  });
}

export function useSendAgain() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, to }: { id: string; to?: string }) =>
      need(api.POST('/api/messages/{id}/retry', { params: { path: { id } }, body: to ? { to } : {} })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Queues all that failed again. */
export function useSendAllAgain() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => need(api.POST('/api/messages/retry-failed')),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Says what stands where nothing could be filled in; then it is sent. */
export function useFill() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, words }: { id: string; words: Record<string, string> }) =>
      need(api.POST('/api/messages/{id}/fill', { params: { path: { id } }, body: { words } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Holds a message that has not left, lets it go, or cancels it. */
export function useHolding() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, what }: { id: string; what: 'hold' | 'let go' | 'cancel' }) =>
      what === 'cancel'
        ? need(api.POST('/api/messages/{id}/cancel', { params: { path: { id } } }))
        : need(api.POST('/api/messages/{id}/hold', { params: { path: { id } }, body: { held: what === 'hold' } })),
    onSettled: () => queries.invalidateQueries(),
  });
}
