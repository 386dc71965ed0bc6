import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, ProblemError, type Schema } from '../shared/api';
import { queryKeys } from './queryKeys';

export type Session = Schema<'Session'>;

/** Who is signed in; null when nobody is. Whoever was signed in stays so here when the session ends: they sign in again above their screen. */
export function useSession() {
  const queries = useQueryClient();
  return useQuery({
    queryKey: queryKeys.session,
    queryFn: async (): Promise<Session | null> => {
      try {
        return await need(api.GET('/api/session'));
      } catch (error) {
        const nobody = error instanceof ProblemError && error.status === 401;
        if (nobody && !queries.getQueryData(queryKeys.session)) return null;
        throw error;
      }
    },
    staleTime: Infinity,
  });
}

/** The signed-in session, on screens that are only shown with one. */
export function useSignedIn(): Session {
  const { data } = useSession();
  if (!data) throw new Error('this screen needs a session');
  return data;
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { email: string; password: string }) => need(api.POST('/api/session', { body })),
    onSuccess: (session) => queries.setQueryData(queryKeys.session, session),
  });
}

export function useSignOut() {
  return useMutation({
    mutationFn: () => need(api.DELETE('/api/session')),
    // Leaving the page forgets everything that it held.
    onSuccess: () => window.location.assign('/sign-in'),
  });
}
