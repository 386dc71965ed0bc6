import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../../shared/api';
import { queryKeys } from '../../queryKeys';

export type FollowUp = Schema<'FollowUp'>;
export type Row = Schema<'FollowUpRow'>;
export type List = Schema<'FollowUpList'>;
export type Step = Schema<'FollowUpStep'>;
export type Courses = Schema<'FollowUpCourses'>;
export type Course = keyof Courses;
export interface Draft {
  name: string;
  courses: Courses;
}
export type Says = 'yes' | 'no' | 'later' | 'question' | 'booked' | 'form' | 'stop';

export function useFollowUps() {
  return useQuery({ queryKey: queryKeys.followUps, queryFn: () => need(api.GET('/api/follow-ups')) });
}

export function useFollowUp(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.followUp(id ?? ''),
    queryFn: () => need(api.GET('/api/follow-ups/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    refetchInterval: 30_000,
  });
}

/** Makes a follow-up, or changes the one with this id. */
export function useKeepFollowUp() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({
      id,
      version,
      draft,
    }: {
      id: string | undefined;
      version: number;
      draft: Draft;
    }): Promise<FollowUp> =>
      id
        ? need(api.PUT('/api/follow-ups/{id}', { params: { path: { id } }, body: { ...draft, version } }))
        : need(api.POST('/api/follow-ups', { body: draft })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Switches one on or off, brings those inside to the version of now, or stops it with somebody. */
export function useFollowUpAct() {
  const queries = useQueryClient();
  return useMutation<
    unknown,
    Error,
    | { what: 'switch'; id: string; on: boolean }
    | { what: 'bring'; id: string; gone: 'next' | 'stop' | 'keep' }
    | { what: 'stop'; run: string }
    | { what: 'begin'; id: string; client: string; project: string }
  >({
    mutationFn: (act) => {
      if (act.what === 'switch')
        return need(
          api.POST('/api/follow-ups/{id}/switch', { params: { path: { id: act.id } }, body: { on: act.on } }),
        );
      if (act.what === 'bring')
        return need(
          api.POST('/api/follow-ups/{id}/bring', { params: { path: { id: act.id } }, body: { gone: act.gone } }),
        );
      if (act.what === 'begin')
        return need(
          api.POST('/api/follow-ups/{id}/begin', {
            params: { path: { id: act.id } },
            body: { client: act.client, project: act.project },
          }),
        );
      return need(api.POST('/api/follow-ups/runs/{id}/stop', { params: { path: { id: act.run } } }));
    },
    onSettled: () => queries.invalidateQueries(),
  });
}

/** What a series would do; the answer of before stays while the next is on its way. */
export function useRehearsal(courses: Courses, start: string, answeredAt: string, says: Says) {
  const body = { courses, start, says, ...(answeredAt ? { answeredAt } : {}) };
  return useQuery({
    queryKey: queryKeys.rehearsal(body),
    queryFn: async () => (await need(api.POST('/api/follow-ups/try', { body }))).acts,
    placeholderData: keepPreviousData,
    enabled: start !== '',
    retry: false,
    gcTime: 60_000,
  });
}

/** Every message of a series to whoever asks, at once. */
export function useSendToMe() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ name, courses }: { name: string; courses: Courses }) =>
      need(api.POST('/api/follow-ups/to-me', { body: { name, courses } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useRunsOf(client: string) {
  return useQuery({
    queryKey: queryKeys.runsOf(client),
    queryFn: () => need(api.GET('/api/follow-ups/runs', { params: { query: { client } } })),
  });
}
