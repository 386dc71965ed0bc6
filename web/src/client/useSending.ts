import { useCallback, useRef } from 'react';
import { ProblemError, type Schema } from '../shared/api';
import type { Answer } from '../shared/condition';
import { newKey } from '../shared/newKey';
import { useSend } from './queries';
import type { PublicForm } from '../form/types';

interface Given {
  answers: Record<string, Answer>;
  seconds: number;
  unseen: string;
  continues: string;
}

/**
 * Sends a form once. A key stands for what is sent: the same tried again keeps it, other answers get one of their own,
 * so that neither is one inquiry stored twice nor are two taken for one.
 */
export function useSending(slug: string, form: PublicForm, key: { current: string }, booking = '', personal = '') {
  const send = useSend(slug, booking, personal);
  const tried = useRef<string | null>(null);
  // Known at once, unlike state, which a second click in the same moment would not see.
  const going = useRef(false);

  const begin = useCallback(
    async (given: Given): Promise<Schema<'Receipt'> | null> => {
      if (going.current) return null;
      going.current = true;
      try {
        const content = JSON.stringify(given.answers);
        if (tried.current !== null && tried.current !== content) key.current = newKey();
        tried.current = content;
        const attempt = () => send.mutateAsync({ ...given, key: key.current, version: form.version });
        try {
          return await attempt();
        } catch (error) {
          // Something else went out under this key, perhaps from another tab: this is another inquiry.
          if (!(error instanceof ProblemError && error.status === 409)) throw error;
          key.current = newKey();
          return await attempt();
        }
      } finally {
        going.current = false;
      }
    },
    [send, form.version, key],
  );

  return { begin, going, isPending: send.isPending, error: send.error };
}
