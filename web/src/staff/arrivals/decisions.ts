import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ProblemError, api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { did } from '../shell/acts';
import { useLastChange } from '../shell/changes';
import { useToast } from '../shell/Toast';
import type { Deciding } from '../plan/deciding';
import type { Submission } from './queries';

type Decided = Schema<'Decided'>;
type Step = (now: Decided) => Decided;

/** Decides on a plan: every step is kept on the server as it is made, and the plan comes back made again. */
export function useDeciding(id: string): Deciding {
  const queries = useQueryClient();
  const toast = useToast();
  const key = queryKeys.submission(id);
  const last = useLastChange().data;
  const step = useMutation({
    // One after the other, so that each builds on what the one before left.
    scope: { id: `deciding-${id}` },
    mutationFn: ({ change }: { change: Step; words: string | null }) => {
      const now = queries.getQueryData<Submission>(key)?.decided;
      if (!now) throw new Error('The submission is not there yet.');
      const { version, choices, answers, dropped, edits, added } = change(now);
      return need(
        api.PUT('/api/submissions/{id}/decisions', {
          params: { path: { id } },
          body: { version, choices, answers, dropped, edits, added },
        }),
      );
    },
    onMutate: () => queries.getQueryData<Submission>(key)?.decided,
    onSuccess: (submission, { words }, before) => {
      queries.setQueryData(key, submission);
      if (!words || !before) return;
      const now = submission.decided;
      const put = (to: Decided) => step.mutateAsync({ change: (is) => ({ ...to, version: is.version }), words: null });
      did({ words, after: last?.at ?? '', covers: [], undo: () => put(before), redo: () => put(now) });
    },
    onError: (error) => {
      toast({ words: error.message });
      if (error instanceof ProblemError && error.status === 409) void queries.invalidateQueries({ queryKey: key });
    },
  });
  const name = queries.getQueryData<Submission>(key)?.name ?? 'a plan';
  const go = (words: string, change: Step) => step.mutate({ change, words: `${words}, in ${name}’s plan` });
  return {
    id,
    busy: step.isPending,
    choose: (choice, value) => go('a choice', (now) => ({ ...now, choices: { ...now.choices, [choice]: value } })),
    drop: (line) => go('left a line out', (now) => ({ ...now, dropped: [...new Set([...now.dropped, line])] })),
    putBack: (line) => go('put a line back', (now) => ({ ...now, dropped: now.dropped.filter((one) => one !== line) })),
    edit: (line, values) =>
      go('changed a line', (now) => ({ ...now, edits: { ...now.edits, [line]: { ...now.edits[line], ...values } } })),
    add: (one) => go('added a line', (now) => ({ ...now, added: [...now.added, one] })),
    putRight: (question, text) =>
      go('put an answer right', (now) => ({
        ...now,
        answers: Object.fromEntries(
          Object.entries({ ...now.answers, [question]: text }).filter(([, answer]) => answer !== ''),
        ),
      })),
  };
}
