import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type SubmissionState = Schema<'SubmissionState'>;
export type SubmissionRow = Schema<'SubmissionRow'>;
export type Submission = Schema<'Submission'>;
export type Plan = Schema<'Plan'>;
export type PlanLine = Schema<'PlanLine'>;
export type Decisions = Record<string, string>;

/** One state's submissions, page after page; asked for again every three seconds, so that nobody reloads. */
export function useSubmissions(state: SubmissionState) {
  return useInfiniteQuery({
    queryKey: queryKeys.submissions(state),
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/submissions', { params: { query: { state, ...(pageParam ? { cursor: pageParam } : {}) } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: state === 'waiting' ? 3000 : 15_000,
  });
}

export function useSubmission(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.submission(id ?? ''),
    queryFn: () => need(api.GET('/api/submissions/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    refetchInterval: 20_000,
  });
}

/** The plan with these choices made; the one that came with the submission while none is. */
export function usePlan(submission: Submission | undefined, decisions: Decisions) {
  const plan = submission?.plan ?? null;
  const decided = Object.keys(decisions).length > 0;
  const again = useQuery({
    queryKey: [...queryKeys.submission(submission?.id ?? ''), 'plan', plan?.fingerprint, decisions],
    queryFn: () =>
      need(
        api.POST('/api/submissions/{id}/plan', { params: { path: { id: submission?.id ?? '' } }, body: { decisions } }),
      ),
    enabled: plan !== null && decided,
    placeholderData: keepPreviousData,
    staleTime: 20_000,
  });
  return { plan: plan && decided ? (again.data ?? plan) : plan, error: decided ? again.error : null };
}

export function useAccept() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, fingerprint, decisions }: { id: string; fingerprint: string; decisions: Decisions }) =>
      need(api.POST('/api/submissions/{id}/accept', { params: { path: { id } }, body: { fingerprint, decisions } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export type AsideReason = 'advertising' | 'test' | 'duplicate' | 'not-for-us' | 'other';

export function useSetAside() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, reason, note }: { id: string; reason: AsideReason; note: string }) =>
      need(api.POST('/api/submissions/{id}/set-aside', { params: { path: { id } }, body: { reason, note } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Takes back what was decided on a submission. */
export function useTakeBack() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) =>
      need(api.POST('/api/submissions/{id}/undo', { params: { path: { id } }, body: {} as never })),
    onSettled: () => queries.invalidateQueries(),
  });
}
