import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { useToast } from './Toast';

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
  return useMutation({
    mutationFn: (id: string) => need(api.POST('/api/changes/{id}/undo', { params: { path: { id } } })),
    onSuccess: (undone) => {
      const kept = undone.kept.map((item) => `${item.record.label}: ${item.why}`);
      toast({ words: `${undone.words}.`, details: kept });
    },
    onError: (error) => toast({ words: error.message }),
    onSettled: () => queries.invalidateQueries(),
  });
}
