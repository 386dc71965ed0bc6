import { useEffect } from 'react';
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

/** owed: accepted by a rule, and nobody has answered yet. */
export type ListState = Schema<'SubmissionState'> | 'owed';
export type SubmissionRow = Schema<'SubmissionRow'>;
export type Submission = Schema<'Submission'>;
export type Plan = Schema<'Plan'>;
export type PlanLine = Schema<'PlanLine'>;

/** One state's submissions, page after page; asked for again every three seconds, so that nobody reloads. */
export function useSubmissions(state: ListState) {
  return useInfiniteQuery({
    queryKey: queryKeys.submissions(state),
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/submissions', { params: { query: { state, ...(pageParam ? { cursor: pageParam } : {}) } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: state === 'waiting' ? 3000 : 15_000,
  });
}

function submissionQuery(id: string, ahead: boolean) {
  return {
    queryKey: queryKeys.submission(id),
    queryFn: () =>
      need(
        api.GET('/api/submissions/{id}', { params: { path: { id }, ...(ahead ? { query: { ahead: true } } : {}) } }),
      ),
  };
}

export function useSubmission(id: string | undefined) {
  return useQuery({ ...submissionQuery(id ?? '', false), enabled: id !== undefined, refetchInterval: 20_000 });
}

/** Fetches what is looked at next, so that a key brings it to the screen at once; nobody counts as looking at it yet. */
export function useAhead(ids: (string | undefined)[], ready: boolean) {
  const queries = useQueryClient();
  const wanted = ids.filter((id) => id !== undefined).join(' ');
  useEffect(() => {
    if (!ready) return;
    for (const id of wanted.split(' ').filter(Boolean)) {
      // Where it fails, it is fetched when it is turned to.
      queries.query({ ...submissionQuery(id, true), staleTime: 15_000 }).catch(() => undefined);
    }
  }, [queries, wanted, ready]);
}

export function useAccept() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, plan, version }: { id: string; plan: Plan; version: number }) =>
      need(
        api.POST('/api/submissions/{id}/accept', {
          params: { path: { id } },
          body: { fingerprint: plan.fingerprint, decisionsVersion: version },
        }),
      ),
    onSettled: () => queries.invalidateQueries(),
  });
}

export type AsideReason = 'advertising' | 'test' | 'duplicate' | 'not-for-us' | 'other';

export function useSetAside() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({
      id,
      reason,
      note,
      duplicateOf,
    }: {
      id: string;
      reason: AsideReason;
      note: string;
      duplicateOf: string;
    }) =>
      need(
        api.POST('/api/submissions/{id}/set-aside', {
          params: { path: { id } },
          body: { reason, note, ...(duplicateOf ? { duplicateOf } : {}) },
        }),
      ),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Takes back what was decided on a submission. */
export function useTakeBack() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, sent = false }: { id: string; sent?: boolean }) =>
      need(api.POST('/api/submissions/{id}/undo', { params: { path: { id } }, body: sent ? {} : { ask: true } })),
    onSettled: () => queries.invalidateQueries(),
  });
}
