import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { useToast } from '../shell/Toast';
import type { AsideReason } from './queries';

/** What may be done with one arrival or several, beside deciding on a plan. */
export type Act =
  | { act: 'accept' }
  | { act: 'set-aside'; reason: AsideReason; note: string; duplicateOf?: string }
  | { act: 'assign'; assignee: string }
  | { act: 'remind'; remindAt: string }
  | { act: 'note'; text: string };

export type Done = Schema<'SeveralDone'>;

/** Does one act to several arrivals; says what was kept, and why. */
export function useSeveral() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ ids, act }: { ids: string[]; act: Act }): Promise<Done> =>
      need(api.POST('/api/submissions/several', { body: { ids, ...act } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Takes several changes back, the last one first. */
export function useUndoSeveral() {
  const queries = useQueryClient();
  const toast = useToast();
  return useMutation({
    mutationFn: async (changes: string[]) => {
      const kept: string[] = [];
      for (const id of [...changes].reverse()) {
        const undone = await need(api.POST('/api/changes/{id}/undo', { params: { path: { id } } }));
        kept.push(...undone.kept.map((item) => `${item.record.label}: ${item.why}`));
      }
      return kept;
    },
    onSuccess: (kept, changes) => toast({ words: `Undone: ${changes.length}.`, details: kept }),
    onError: (error) => toast({ words: error.message }),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Says that a person has answered: the reply clock stops. */
export function useAnswered() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => need(api.POST('/api/submissions/{id}/answered', { params: { path: { id } } })),
    onSettled: () => queries.invalidateQueries(),
  });
}
