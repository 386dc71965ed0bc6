import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Today = Schema<'Today'>;
export type Task = Schema<'Task'>;

export function useTodaySheet() {
  return useQuery({
    queryKey: queryKeys.todaySheet,
    queryFn: () => need(api.GET('/api/today')),
    refetchInterval: 15_000,
  });
}

export function useFinish() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version }: Schema<'Task'>) =>
      need(api.POST('/api/tasks/{id}/finish', { params: { path: { id } }, body: { version } })),
    onSettled: () => void queries.invalidateQueries(),
  });
}

export function useMarkVisit() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, state }: { id: string; state: 'held' | 'missed' }) =>
      need(api.PUT('/api/appointments/{id}/state', { params: { path: { id } }, body: { state } })),
    onSettled: () => void queries.invalidateQueries(),
  });
}

/** Open tasks by their due days, narrowed. */
export function useOpenTasks({
  assignee,
  q,
  due,
}: {
  assignee: string;
  q: string;
  due: '' | 'late' | 'today' | 'later';
}) {
  return useInfiniteQuery({
    queryKey: queryKeys.myTasks({ assignee, q, due }),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/tasks', {
          params: {
            query: {
              ...(assignee ? { assignee } : {}),
              ...(q ? { q } : {}),
              ...(due ? { due } : {}),
              ...(pageParam ? { cursor: pageParam } : {}),
            },
          },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export function useFinishSeveral() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (tasks: string[]) => need(api.POST('/api/tasks/finish', { body: { tasks } })),
    onSettled: () => void queries.invalidateQueries(),
  });
}
