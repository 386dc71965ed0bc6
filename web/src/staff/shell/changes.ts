import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { useToast, type ToastMessage } from './Toast';

/** The newest change of the signed-in person that can be taken back, or null. */
export function useLastChange() {
  return useQuery({
    queryKey: queryKeys.lastChange,
    queryFn: async () => (await need(api.GET('/api/changes/last'))).change,
  });
}

/** Takes a change back, and says what stays. */
export function useUndo() {
  const queries = useQueryClient();
  const toast = useToast();
  const undo: UseMutationResult<Schema<'Undone'>, Error, string | { id: string; all: true }> = useMutation({
    mutationFn: (what: string | { id: string; all: true }) =>
      typeof what === 'string'
        ? need(api.POST('/api/changes/{id}/undo', { params: { path: { id: what } } }))
        : need(api.POST('/api/changes/{id}/undo', { params: { path: { id: what.id } }, body: { all: true } })),
    onSuccess: (undone) => toast(told(undone, () => undo.mutate({ id: undone.change, all: true }))),
    onError: (error) => toast({ words: error.message }),
    onSettled: () => queries.invalidateQueries(),
  });
  return undo;
}

/** What was taken back and what stays; what was only changed since can be taken back too. */
export function told(undone: Schema<'Undone'>, takeAll: () => void): ToastMessage {
  const changed = undone.kept.some((item) => item.why.startsWith('changed since'));
  return {
    words: `${undone.words}.`,
    details: undone.kept.map((item) => `${item.record.label}: ${item.why}`),
    ...(changed ? { action: { label: 'Take those back too', shown: '', act: takeAll } } : {}),
  };
}
