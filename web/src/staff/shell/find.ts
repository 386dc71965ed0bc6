import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export interface Found {
  group: string;
  label: string;
  second: string;
  path: string;
}

/** The first few clients, projects and waiting arrivals that match. */
export function useFound(q: string, arrivalsToo: boolean) {
  return useQuery({
    queryKey: queryKeys.find(q),
    enabled: q.length > 1,
    placeholderData: keepPreviousData,
    queryFn: async (): Promise<Found[]> => {
      const query = { q };
      const [clients, projects, arrivals] = await Promise.all([
        need(api.GET('/api/clients', { params: { query } })),
        need(api.GET('/api/projects', { params: { query } })),
        arrivalsToo
          ? need(api.GET('/api/submissions', { params: { query: { q, state: 'waiting' as const } } }))
          : { items: [] },
      ]);
      return [
        ...arrivals.items.slice(0, 4).map((a) => ({
          group: 'Arrivals',
          label: a.name,
          second: `${a.number}, ${a.clock.words}`,
          path: `/arrivals/${a.id}`,
        })),
        ...clients.items
          .slice(0, 6)
          .map((c) => ({ group: 'Clients', label: c.name, second: c.email ?? c.locality, path: `/clients/${c.id}` })),
        ...projects.items.slice(0, 6).map((p) => ({
          group: 'Projects',
          label: `${p.number} ${p.title}`,
          second: p.client.label,
          path: `/projects/${p.id}`,
        })),
      ];
    },
  });
}
