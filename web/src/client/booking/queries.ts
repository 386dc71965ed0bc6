import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';

export type Page = Schema<'PublicBooking'>;
export type Times = Schema<'FreeTimes'>;
export type Held = Schema<'HeldTime'>;

export interface Choice {
  type: string;
  length: number;
  with: string;
}

/** A booking page; with a link, what is known of whoever holds it. */
export function useBookingPage(slug: string, t: string) {
  return useQuery({
    queryKey: ['booking', slug, t],
    queryFn: () => need(api.GET('/api/public/booking/{slug}', { params: { path: { slug }, query: t ? { t } : {} } })),
    staleTime: 60_000,
    refetchOnWindowFocus: false,
  });
}

/** The free times of a choice from a day on; asked for again every half minute, as others choose too. */
export function useTimes(slug: string, t: string, choice: Choice, from: string) {
  return useQuery({
    queryKey: ['booking-times', slug, t, choice, from],
    queryFn: () =>
      need(
        api.GET('/api/public/booking/{slug}/times', {
          params: { path: { slug }, query: { t, ...choice, ...(from ? { from } : {}) } },
        }),
      ),
    enabled: t !== '' && choice.type !== '',
    placeholderData: keepPreviousData,
    refetchInterval: 30_000,
  });
}

/** Holds a time, keeps it longer, books it. */
export function useHolding(slug: string, t: string) {
  const cache = useQueryClient();
  const refresh = () => cache.invalidateQueries({ queryKey: ['booking-times', slug] });
  const path = { path: { slug } };
  const hold = useMutation({
    mutationFn: ({ at, ...choice }: Choice & { at: string }) =>
      need(api.POST('/api/public/booking/{slug}/holds', { params: path, body: { t, at, ...choice } })),
    onError: refresh,
  });
  const longer = useMutation({
    mutationFn: () => need(api.POST('/api/public/booking/{slug}/holds/longer', { params: path, body: { t } })),
  });
  const book = useMutation({
    mutationFn: ({ at, zone, ...choice }: Choice & { at: string; zone: string }) =>
      need(api.POST('/api/public/booking/{slug}/bookings', { params: path, body: { t, at, zone, ...choice } })),
    onError: refresh,
  });
  return { hold, longer, book };
}

/** Waits for a place in a group that is full, and no longer. */
export function useWaiting(slug: string, t: string) {
  const cache = useQueryClient();
  const path = { path: { slug } };
  const onSettled = () =>
    Promise.all([
      cache.invalidateQueries({ queryKey: ['booking', slug] }),
      cache.invalidateQueries({ queryKey: ['booking-times', slug] }),
    ]);
  const join = useMutation({
    mutationFn: ({ at, zone, ...choice }: Choice & { at: string; zone: string }) =>
      need(api.POST('/api/public/booking/{slug}/waits', { params: path, body: { t, at, zone, ...choice } })),
    onSettled,
  });
  const leave = useMutation({
    mutationFn: () => need(api.POST('/api/public/booking/{slug}/waits/leave', { params: path, body: { t } })),
    onSettled,
  });
  return { join, leave };
}

export type Visit = Schema<'PublicVisit'>;

export function useVisit(token: string) {
  return useQuery({
    queryKey: ['visit', token],
    queryFn: () => need(api.GET('/api/public/visits/{token}', { params: { path: { token } } })),
    staleTime: 30_000,
  });
}

export function useVisitTimes(token: string, from: string, wanted: boolean) {
  return useQuery({
    queryKey: ['visit-times', token, from],
    queryFn: () =>
      need(
        api.GET('/api/public/visits/{token}/times', {
          params: { path: { token }, query: from ? { from } : {} },
        }),
      ),
    enabled: wanted,
    placeholderData: keepPreviousData,
    refetchInterval: 30_000,
  });
}

/** What one may do with a visit by its link. */
export function useVisitActs(token: string) {
  const cache = useQueryClient();
  const params = { path: { token } };
  const shown = {
    onSuccess: (visit: Visit) => cache.setQueryData(['visit', token], visit),
    onError: () => {
      void cache.invalidateQueries({ queryKey: ['visit', token] });
      void cache.invalidateQueries({ queryKey: ['visit-times', token] });
    },
  };
  return {
    move: useMutation({
      mutationFn: (at: string) => need(api.POST('/api/public/visits/{token}/move', { params, body: { at } })),
      ...shown,
    }),
    cancel: useMutation({
      mutationFn: () => need(api.POST('/api/public/visits/{token}/cancel', { params })),
      ...shown,
    }),
    yes: useMutation({ mutationFn: () => need(api.POST('/api/public/visits/{token}/yes', { params })), ...shown }),
    wish: useMutation({
      mutationFn: (words: string) => need(api.POST('/api/public/visits/{token}/wish', { params, body: { words } })),
      ...shown,
    }),
  };
}
