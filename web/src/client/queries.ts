import { useMutation } from '@tanstack/react-query';
import { api, need, ProblemError } from '../shared/api';
import type { Answer } from '../shared/condition';
import { proofFor } from './proof';
import { whereFrom } from './whereFrom';

interface Sending {
  answers: Record<string, Answer>;
  key: string;
  /** The version of the form that was filled in. */
  version: number;
  seconds: number;
  unseen: string;
  continues: string;
}

/** Sends a filled-in form. The same key sent twice is one submission. */
export function useSend(slug: string, booking: string, personal: string) {
  return useMutation({
    mutationFn: async ({ answers, key, version, seconds, unseen, continues }: Sending) => {
      const challenge = await need(api.GET('/api/public/forms/{slug}/challenge', { params: { path: { slug } } }));
      const nonce = await proofFor(challenge.challenge, key, challenge.bits);
      return need(
        api.POST('/api/public/forms/{slug}/submissions', {
          params: { path: { slug }, header: { 'Idempotency-Key': key } },
          body: {
            answers: answers as Record<string, string>,
            version,
            seconds,
            unseen,
            proof: { challenge: challenge.challenge, nonce },
            ...(continues ? { continues } : {}),
            ...(booking ? { booking } : {}),
            ...(personal ? { personal } : {}),
            ...whereFrom(),
          },
        }),
      );
    },
    // A server that is busy says so: the same key again makes nothing twice.
    retry: (tries, error) => error instanceof ProblemError && error.status === 503 && tries < 5,
    retryDelay: (tries) => 1000 * 2 ** tries,
  });
}
