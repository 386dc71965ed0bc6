import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

type List = 'clients' | 'projects' | 'tasks';

/** The saved ways of looking at a list, how one is saved and removed. */
export function useListViews(list: List, now: { search: string; hidden: string[] }, wanted = true) {
  const queries = useQueryClient();
  const again = () => void queries.invalidateQueries({ queryKey: queryKeys.listViews(list) });
  const views = useQuery({
    queryKey: queryKeys.listViews(list),
    queryFn: async () => (await need(api.GET('/api/lists/{list}/views', { params: { path: { list } } }))).items,
    enabled: wanted,
  });
  const save = useMutation({
    mutationFn: (name: string) =>
      need(api.POST('/api/lists/{list}/views', { params: { path: { list } }, body: { name, ...now } })),
    onSettled: again,
  });
  const remove = useMutation({
    mutationFn: (view: string) =>
      need(api.DELETE('/api/lists/{list}/views/{view}', { params: { path: { list, view } } })),
    onSettled: again,
  });
  return { views: views.data ?? [], save, remove };
}
