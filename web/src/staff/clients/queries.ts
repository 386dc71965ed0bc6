import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export function useClients(q: string) {
  return useInfiniteQuery({
    queryKey: queryKeys.clients(q),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/clients', {
          params: { query: { ...(q ? { q } : {}), ...(pageParam ? { cursor: pageParam } : {}) } },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export function useClient(id: string) {
  return useQuery({
    queryKey: queryKeys.client(id),
    queryFn: () => need(api.GET('/api/clients/{id}', { params: { path: { id } } })),
  });
}
