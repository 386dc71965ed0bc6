import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import type { paths } from '../../shared/contract';
import { queryKeys } from '../queryKeys';

export { useClient } from '../shell/asked';

type Asked = NonNullable<paths['/api/clients']['get']['parameters']['query']>;
/** As the list of clients is asked for, but for where a page begins. */
export type Narrowed = Omit<Asked, 'cursor'>;

const words = ['q', 'state', 'tag', 'owner', 'service', 'place', 'contact', 'sort'] as const;

/** What the address of the list says of it: nothing of what is as usual. */
export function narrowedBy(search: URLSearchParams): Narrowed {
  const by: Partial<Record<(typeof words)[number], string>> = {};
  for (const word of words) {
    const value = search.get(word)?.trim();
    if (value) by[word] = value;
  }
  return by as Narrowed;
}

export function useClients(query: Narrowed) {
  return useInfiniteQuery({
    queryKey: queryKeys.clients(query),
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/clients', { params: { query: { ...query, ...(pageParam ? { cursor: pageParam } : {}) } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export function useTags() {
  return useQuery({
    queryKey: queryKeys.clientTags,
    queryFn: async () => (await need(api.GET('/api/clients/tags'))).items,
  });
}

/** Tags several clients at once, or gives them to somebody. */
export function useSeveral() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { ids: string[]; tag?: string; owner?: string }) =>
      need(api.POST('/api/clients/several', { body })),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export function useArchive() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version, archived }: { id: string; version: number; archived: boolean }) =>
      need(api.POST('/api/clients/{id}/archive', { params: { path: { id } }, body: { version, archived } })),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export function useDeleteClient() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version }: { id: string; version: number }) =>
      need(api.DELETE('/api/clients/{id}', { params: { path: { id }, query: { version } } })),
    onSuccess: (_, { id }) => queries.removeQueries({ queryKey: queryKeys.client(id) }),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export type ClientEdit = Schema<'ClientEdit'>;

/** Saves what was written about a client; what is not sent stays. */
export function useEditClient(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: ClientEdit) => need(api.PUT('/api/clients/{id}', { params: { path: { id } }, body })),
    onSuccess: (client) => queries.setQueryData(queryKeys.client(id), client),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export function useMakeClient() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ key, body }: { key: string; body: ClientEdit }) =>
      need(api.POST('/api/clients', { params: { header: { 'Idempotency-Key': key } }, body })),
    onSuccess: (client) => queries.setQueryData(queryKeys.client(client.id), client),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export interface Written {
  givenName: string;
  familyName: string;
  organisation: string;
  email: string;
  phone: string;
  address: string;
}

/** Who on file may be the same as somebody who is being written down. */
export function useAlike({ givenName, familyName, email, phone, address }: Written) {
  const said = { givenName, familyName, email, phone, address };
  return useQuery({
    queryKey: queryKeys.alike(said),
    queryFn: () => need(api.GET('/api/alike', { params: { query: said } })),
    enabled: Object.values(said).some((text) => text.trim().length > 2),
    placeholderData: keepPreviousData,
  });
}

/** The pairs that may be one person, best first. */
export function useDuplicates() {
  return useQuery({ queryKey: queryKeys.duplicates, queryFn: () => need(api.GET('/api/duplicates')) });
}

export function useMerge() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, other, take }: { id: string; other: string; take: string[] }) =>
      need(api.POST('/api/clients/{id}/merge', { params: { path: { id } }, body: { other, take } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useTellApart() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, other }: { id: string; other: string }) =>
      need(api.POST('/api/clients/{id}/tell-apart', { params: { path: { id } }, body: { other } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Sends a file of clients to be looked at. */
export function useBringFile() {
  return useMutation({
    mutationFn: (file: File) => {
      const body = new FormData();
      body.append('file', file);
      return need(api.POST('/api/client-imports', { body: body as never, bodySerializer: () => body }));
    },
  });
}

/** How far an import is, asked again while it runs. */
export function useImport(id: string | null) {
  return useQuery({
    queryKey: queryKeys.clientImport(id ?? ''),
    queryFn: () => need(api.GET('/api/client-imports/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== null,
    refetchInterval: (query) => (['running', 'undoing'].includes(query.state.data?.state ?? '') ? 700 : false),
  });
}

export function useMapColumns() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, fields }: { id: string; fields: string[] }) =>
      need(api.PUT('/api/client-imports/{id}', { params: { path: { id } }, body: { fields } })),
    onSuccess: (now) => queries.setQueryData(queryKeys.clientImport(now.id), now),
  });
}

export function useCarryOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      need(api.POST('/api/client-imports/{id}/carry-out', { params: { path: { id } }, body: {} as never })),
    onSuccess: (now) => queries.setQueryData(queryKeys.clientImport(now.id), now),
  });
}
