import { useMutation, useQuery } from '@tanstack/react-query';
import { api, need, type Schema } from '../shared/api';

export type PublicForm = Schema<'PublicForm'>;
export type Question = Schema<'Question'>;
/** By question key; a list where several may be chosen. An unticked box may come as false. */
export type Answers = Record<string, string | string[] | boolean | undefined>;

export function usePublicForm(slug: string) {
  return useQuery({
    queryKey: ['form', slug],
    queryFn: () => need(api.GET('/api/public/forms/{slug}', { params: { path: { slug } } })),
    staleTime: Infinity,
  });
}

/** Sends a filled-in form. The same key sent twice is one submission. */
export function useSend(slug: string) {
  return useMutation({
    mutationFn: ({
      answers,
      key,
      seconds,
      unseen,
    }: {
      answers: Record<string, string | string[]>;
      key: string;
      seconds: number;
      unseen: string;
    }) =>
      need(
        api.POST('/api/public/forms/{slug}/submissions', {
          params: { path: { slug }, header: { 'Idempotency-Key': key } },
          body: { answers, channel: 'page', seconds, unseen },
        }),
      ),
  });
}
