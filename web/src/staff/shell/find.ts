import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export interface Found {
  group: string;
  label: string;
  second: string;
  path: string;
}

/** Everything that matches, the best of each kind first. */
export function useFound(q: string) {
  return useQuery({
    queryKey: queryKeys.find(q),
    enabled: q.length > 1,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<Found[]> => (await need(api.GET('/api/search', { params: { query: { q } } }))).items,
  });
}
