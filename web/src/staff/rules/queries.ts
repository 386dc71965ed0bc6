import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export { useRuleList as useRules } from '../people/queries';

export type RuleDraft = Schema<'RuleDraft'>;
export type RuleAction = Schema<'RuleAction'>;
export type KeptRule = Schema<'HandlingRule'>;
/** Answers that nobody has sent. */
export interface Sample {
  form: string;
  answers: Record<string, never>;
}
export type Offers = Schema<'RuleList'>['offers'];

/** Makes a rule, or changes the one whose id it has. */
export function useKeepRule() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (rule: RuleDraft): Promise<KeptRule> =>
      rule.id
        ? need(api.PUT('/api/rules/{id}', { params: { path: { id: rule.id } }, body: rule }))
        : need(api.POST('/api/rules', { body: rule })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useMoveRule() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, up }: { id: string; up: boolean }) =>
      need(api.POST('/api/rules/{id}/move', { params: { path: { id } }, body: { up } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useTakeOutRule() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => need(api.DELETE('/api/rules/{id}', { params: { path: { id } } })),
    // Not waited for: the screen of the rule that is gone must first have said so.
    onSettled: () => void queries.invalidateQueries(),
  });
}

export function useDryRun() {
  return useMutation({
    mutationFn: (
      on:
        | { rule: RuleDraft; submission: string }
        | { rule: RuleDraft; sample: Sample }
        | { rule: RuleDraft; project: string },
    ) => need(api.POST('/api/rules/dry-run', { body: on })),
  });
}

/** What a rule was, the newest first. */
export function useRuleVersions(id: string) {
  return useQuery({
    queryKey: queryKeys.ruleVersions(id),
    queryFn: async () => (await need(api.GET('/api/rules/{id}/versions', { params: { path: { id } } }))).items,
  });
}

/** On what a rule had its part, the newest first. */
export function useRuleUses(id: string) {
  return useQuery({
    queryKey: queryKeys.ruleUses(id),
    queryFn: async () => (await need(api.GET('/api/rules/{id}/uses', { params: { path: { id } } }))).items,
  });
}

export function useStartLookBack() {
  return useMutation({
    mutationFn: ({ rule, days }: { rule: RuleDraft; days: 30 | 90 | 365 }) =>
      need(api.POST('/api/rules/look-backs', { body: { rule, days } })),
  });
}

/** How far a look-back is, asked again until it has ended. */
export function useLookBack(id: string | null) {
  return useQuery({
    queryKey: queryKeys.lookBack(id ?? ''),
    queryFn: () => need(api.GET('/api/rules/look-backs/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== null,
    refetchInterval: (query) => (query.state.data?.state === 'running' || !query.state.data ? 700 : false),
  });
}

export function useCancelLookBack() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      need(api.POST('/api/rules/look-backs/{id}/cancel', { params: { path: { id } }, body: {} as never })),
    onSuccess: (look) => queries.setQueryData(queryKeys.lookBack(look.id), look),
  });
}
