import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';

export type Page = Schema<'QuotePage'>;

export type Line = Schema<'PublicQuoteLine'>;

const key = (token: string) => ['quote', token];

export function useQuote(token: string) {
  return useQuery({
    queryKey: key(token),
    queryFn: () => need(api.GET('/api/public/quotes/{token}', { params: { path: { token } } })),
    staleTime: 60_000,
    refetchOnWindowFocus: false,
  });
}

/** That it was shown; a failure of this is nobody's trouble. */
export function sayOpened(token: string) {
  void api.POST('/api/public/quotes/{token}/opened', { params: { path: { token } } });
}

/** The sums with the lines that are chosen. */
export function useSums(token: string, ticked: string[], changed: boolean) {
  return useQuery({
    queryKey: ['quote-sums', token, ticked],
    queryFn: () =>
      need(api.POST('/api/public/quotes/{token}/total', { params: { path: { token } }, body: { ticked } })),
    enabled: changed,
    retry: 2,
  });
}

export function useQuoteActs(token: string) {
  const cache = useQueryClient();
  const params = { path: { token } };
  const shown = {
    onSuccess: (page: Page) => cache.setQueryData(key(token), page),
    onError: () => void cache.invalidateQueries({ queryKey: key(token) }),
  };
  return {
    ask: useMutation({
      mutationFn: (words: string) => need(api.POST('/api/public/quotes/{token}/question', { params, body: { words } })),
      ...shown,
    }),
    decline: useMutation({
      mutationFn: (reason: string) =>
        need(api.POST('/api/public/quotes/{token}/decline', { params, body: { reason } })),
      ...shown,
    }),
    accept: useMutation({
      mutationFn: (body: { ticked: string[]; total: string; name: string; drawing: string }) =>
        need(api.POST('/api/public/quotes/{token}/accept', { params, body })),
      ...shown,
    }),
  };
}
