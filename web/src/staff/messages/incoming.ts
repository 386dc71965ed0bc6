import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import type { MarkKind } from '../../shared/Mark';
import { queryKeys } from '../queryKeys';

export type Meaning = Schema<'Meaning'>;
export type IncomingRow = Schema<'IncomingRow'>;

/** What somebody may mean, with the key that says so. */
export const meanings: { value: Meaning; hotkey: string; label: string; asked: string }[] = [
  { value: 'yes', hotkey: '1', label: 'A yes', asked: 'Is this a yes?' },
  { value: 'no', hotkey: '2', label: 'A no', asked: 'Is this a no?' },
  { value: 'later', hotkey: '3', label: 'Later', asked: 'Does this mean later?' },
  { value: 'question', hotkey: '4', label: 'A question', asked: 'Is this a question?' },
  { value: 'other', hotkey: '5', label: 'Something else', asked: 'What does this mean?' },
  { value: 'stop', hotkey: '6', label: 'Stop', asked: 'Does this mean stop?' },
];

const origins: Record<IncomingRow['origin'], string> = {
  person: '',
  bounce: 'came back',
  away: 'is away',
  machine: 'machine mail',
};

/** What became of a message that came in: its mark, and the word for it. */
export function markOf(row: IncomingRow): [MarkKind, string] {
  if (row.state === 'open') return ['choose', 'to read'];
  if (row.submission) return ['done', 'an arrival'];
  if (row.origin !== 'person') return ['stopped', origins[row.origin]];
  if (row.state === 'left') return ['stopped', 'left'];
  return ['done', row.says];
}

/** Messages that came in, asked for again every ten seconds. */
export function useIncoming() {
  return useInfiniteQuery({
    queryKey: queryKeys.incoming,
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/replies', { params: { query: pageParam ? { cursor: pageParam } : {} } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: 10_000,
  });
}

export function useReply(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.reply(id ?? ''),
    queryFn: () => need(api.GET('/api/replies/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}

/** Says what a message means, or that nothing needs to come of it. */
export function useDecide() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, says }: { id: string; says: Meaning | 'left' }) =>
      says === 'left'
        ? need(api.POST('/api/replies/{id}/leave', { params: { path: { id } } }))
        : need(api.POST('/api/replies/{id}/decide', { params: { path: { id } }, body: { says } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Makes a letter an arrival. */
export function useMakeArrival() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => need(api.POST('/api/replies/{id}/arrival', { params: { path: { id } } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** With the stand-in mailbox: a mail comes in as from outside. */
export function usePlayClient() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { message?: string; from?: string; subject?: string; text: string }) =>
      need(api.POST('/api/stand-in/mail', { body })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Takes back what settled a reply, whoever or whatever it was. */
export function useTakeBackReading() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: string) => need(api.POST('/api/changes/{id}/undo', { params: { path: { id: change } } })),
    onSettled: () => queries.invalidateQueries(),
  });
}
