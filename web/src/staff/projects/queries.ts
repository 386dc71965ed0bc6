import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export function useProjects(q: string, stage: string) {
  return useInfiniteQuery({
    queryKey: queryKeys.projects(q, stage),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/projects', {
          params: {
            query: { ...(q ? { q } : {}), ...(stage ? { stage } : {}), ...(pageParam ? { cursor: pageParam } : {}) },
          },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export function useProject(id: string) {
  return useQuery({
    queryKey: queryKeys.project(id),
    queryFn: () => need(api.GET('/api/projects/{id}', { params: { path: { id } } })),
  });
}

/** All tasks of a project in their order. */
export function useTasks(project: string) {
  return useQuery({
    queryKey: queryKeys.tasks(project),
    queryFn: async () => {
      const tasks: Schema<'Task'>[] = [];
      let cursor: string | null = '';
      while (cursor !== null) {
        const page: { items: Schema<'Task'>[]; next: string | null } = await need(
          api.GET('/api/tasks', { params: { query: { project, ...(cursor ? { cursor } : {}) } } }),
        );
        tasks.push(...page.items);
        cursor = page.next;
      }
      return tasks;
    },
  });
}

export function useFinishTask() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version }: Schema<'Task'>) =>
      need(api.POST('/api/tasks/{id}/finish', { params: { path: { id } }, body: { version } })),
    onSettled: () => queries.invalidateQueries(),
  });
}
