import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export interface Found {
  group: string;
  label: string;
  second: string;
  path: string;
}

const groups = {
  submission: 'Arrivals',
  client: 'Clients',
  contact: 'Contacts',
  project: 'Projects',
  message: 'Messages',
};

/** Everything that matches, the best of each kind first. */
export function useFound(q: string, assetWord: string) {
  const things = `${assetWord.charAt(0).toUpperCase()}${assetWord.slice(1)}s`;
  return useQuery({
    queryKey: queryKeys.find(q),
    enabled: q.length > 1,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<Found[]> => {
      const { items } = await need(api.GET('/api/search', { params: { query: { q } } }));
      return items.map((item) => ({ ...item, group: item.kind === 'asset' ? things : groups[item.kind] }));
    },
  });
}
