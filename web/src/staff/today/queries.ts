import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Today = Schema<'Today'>;

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
