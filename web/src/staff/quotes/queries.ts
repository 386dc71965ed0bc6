import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Quote = Schema<'Quote'>;
export type Content = Schema<'QuoteContent'>;
export type Line = Schema<'QuoteLine'>;
export type Quotes = Schema<'Quotes'>;
export type PriceList = Schema<'PriceList'>;

export function useQuotes() {
  return useQuery({ queryKey: queryKeys.quotes, queryFn: () => need(api.GET('/api/quotes')), refetchInterval: 60_000 });
}

export function useQuotesOf(of: 'client' | 'project', id: string) {
  return useQuery({
    queryKey: queryKeys.quotesOf(of, id),
    queryFn: () => need(api.GET('/api/quotes', { params: { query: { [of]: id } } })),
  });
}

export function useQuote(id: string) {
  return useQuery({
    queryKey: queryKeys.quote(id),
    queryFn: () => need(api.GET('/api/quotes/{id}', { params: { path: { id } } })),
  });
}

/** The sums of what is being typed: the server’s. */
export function useTotals(content: Content, gross: boolean, on: boolean) {
  return useQuery({
    queryKey: queryKeys.quoteTotals(content, gross),
    queryFn: () => need(api.POST('/api/quotes/total', { body: { content, gross } })),
    enabled: on,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

export function usePrices() {
  return useQuery({ queryKey: queryKeys.prices, queryFn: () => need(api.GET('/api/prices')) });
}

export function useQuoteActs(id: string) {
  const queries = useQueryClient();
  const params = { path: { id } };
  const keep = {
    onSuccess: (quote: Quote) => queries.setQueryData(queryKeys.quote(quote.id), quote),
    onSettled: () => void queries.invalidateQueries(),
  };
  return {
    save: useMutation({
      mutationFn: (body: { version: number; content?: Content; validUntil?: string }) =>
        need(api.PUT('/api/quotes/{id}', { params, body })),
      onSuccess: keep.onSuccess,
    }),
    send: useMutation({
      mutationFn: (version: number) => need(api.POST('/api/quotes/{id}/send', { params, body: { version } })),
      ...keep,
    }),
    withdraw: useMutation({
      mutationFn: (version: number) => need(api.POST('/api/quotes/{id}/withdraw', { params, body: { version } })),
      ...keep,
    }),
    reply: useMutation({
      mutationFn: (body: { version: number; question: number; words: string }) =>
        need(api.POST('/api/quotes/{id}/reply', { params, body })),
      ...keep,
    }),
    revise: useMutation({
      mutationFn: (key: string) =>
        need(api.POST('/api/quotes/{id}/revise', { params: { ...params, header: { 'Idempotency-Key': key } } })),
      ...keep,
    }),
  };
}

export function useDraft() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({
      key,
      ...body
    }: {
      key: string;
      project?: string;
      client?: string;
      like?: string;
      template?: string;
    }) => need(api.POST('/api/quotes', { params: { header: { 'Idempotency-Key': key } }, body })),
    onSettled: () => void queries.invalidateQueries(),
  });
}

/** What a quote may begin from; what is kept and removed among it. */
export function useTemplates() {
  return useQuery({ queryKey: queryKeys.quoteTemplates, queryFn: () => need(api.GET('/api/quotes/templates')) });
}

export function useTemplateActs() {
  const queries = useQueryClient();
  const shown = {
    onSuccess: (all: Schema<'QuoteTemplates'>) => queries.setQueryData(queryKeys.quoteTemplates, all),
  };
  return {
    keep: useMutation({
      mutationFn: ({ quote, name }: { quote: string; name: string }) =>
        need(api.POST('/api/quotes/{id}/template', { params: { path: { id: quote } }, body: { name } })),
      ...shown,
    }),
    remove: useMutation({
      mutationFn: (id: string) => need(api.DELETE('/api/quotes/templates/{id}', { params: { path: { id } } })),
      ...shown,
    }),
  };
}

/** Reads a supplier’s quotation as lines. */
export function useReadUbl() {
  return useMutation({ mutationFn: (xml: string) => need(api.POST('/api/quotes/ubl', { body: { xml } })) });
}

export function usePriceActs() {
  const queries = useQueryClient();
  const shown = { onSuccess: (list: PriceList) => queries.setQueryData(queryKeys.prices, list) };
  return {
    keep: useMutation({
      mutationFn: ({ id, ...body }: Schema<'PriceEdit'> & { id: string }) =>
        id
          ? need(api.PUT('/api/prices/{id}', { params: { path: { id } }, body }))
          : need(api.POST('/api/prices', { body })),
      ...shown,
    }),
    setUp: useMutation({
      mutationFn: (body: Schema<'QuoteSetup'>) => need(api.PUT('/api/prices/setup', { body })),
      ...shown,
    }),
    read: useMutation({
      mutationFn: (body: { csv: string; dry: boolean }) => need(api.POST('/api/prices/import', { body })),
      onSettled: () => void queries.invalidateQueries({ queryKey: queryKeys.prices }),
    }),
  };
}
