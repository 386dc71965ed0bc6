import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, useContext, useState } from 'react';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { when } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { did, didAgain, tookBack, useActs, type Act } from './acts';
import { useToday } from './day';
import { useToast, type ToastMessage } from './Toast';

/** The newest change of the signed-in person that can be taken back, or null. */
export function useLastChange() {
  return useQuery({
    queryKey: queryKeys.lastChange,
    queryFn: async () => (await need(api.GET('/api/changes/last'))).change,
  });
}

const ASKS = ['Sent already', 'The public feels this'];

export interface Sent {
  title: string;
  /** What was sent already, in words. */
  words: string;
  goOn: () => void;
}

export const SentContext = createContext<(sent: Sent) => void>(() => undefined);

/** Whether the server asks first: something was mailed, or the public feels it. */
export function isSentAlready(error: Error): boolean {
  return error instanceof ProblemError && error.status === 409 && ASKS.includes(error.title);
}

interface What {
  id: string;
  all?: true;
  /** Asked already: what was sent stays. */
  sent?: true;
}

const undoChange = ({ id, all, sent }: What) =>
  need(
    api.POST('/api/changes/{id}/undo', {
      params: { path: { id } },
      body: { ...(all ? { all } : {}), ...(sent ? { outside: true } : { ask: true }) },
    }),
  );

const redoChange = (id: string) =>
  need(api.POST('/api/changes/{id}/redo', { params: { path: { id } }, body: { outside: true } }));

/** Takes a change back, and says what stays. */
export function useUndo() {
  const queries = useQueryClient();
  const toast = useToast();
  const askFirst = useContext(SentContext);
  const undo = useMutation({
    mutationFn: undoChange,
    onSuccess: (undone, what) => {
      const act: Act = {
        words: undone.words.replace(/^[^:]*: /, ''),
        after: '',
        covers: [what.id],
        undo: () => undoChange({ ...what, sent: true }),
        redo: () => redoChange(what.id),
      };
      did(act);
      tookBack(act);
      toast(told(undone, () => undo.mutate({ id: undone.change, all: true, sent: true })));
    },
    onError: (error, what) => {
      if (isSentAlready(error))
        askFirst({
          title: error instanceof ProblemError ? error.title : '',
          words: error.message,
          goOn: () => undo.mutate({ ...what, sent: true }),
        });
      else toast({ words: error.message });
    },
    onSettled: () => queries.invalidateQueries(),
  });
  return {
    isPending: undo.isPending,
    mutate: (what: string | What) => undo.mutate(typeof what === 'string' ? { id: what } : what),
  };
}

/** What was taken back and what stays; what was only changed since can be taken back too. */
export function told(undone: Schema<'Undone'>, takeAll: () => void): ToastMessage {
  const changed = undone.kept.some((item) => item.why.startsWith('changed since'));
  return {
    words: `${undone.words}.`,
    details: undone.kept.map((item) => `${item.record.label}: ${item.why}`),
    ...(changed ? { action: { label: 'Take those back too', shown: '', act: takeAll } } : {}),
  };
}

export interface UndoBlock {
  label: string;
  second: string;
  undo: (() => void) | undefined;
  redo: (() => void) | undefined;
}

/**
 * Takes back the last thing that this person did, on the screen or on the server, whichever came later; and does it
 * again.
 */
export function useLastAct(): UndoBlock {
  const { data: change } = useLastChange();
  const acts = useActs();
  const undo = useUndo();
  const queries = useQueryClient();
  const toast = useToast();
  const today = useToday();
  const [busy, setBusy] = useState(false);
  const here = acts.done.at(-1);
  const again = acts.undone.at(-1);
  const isHere = here && (!change || here.covers.includes(change.id) || new Date(change.at) <= new Date(here.after));
  const carryOut = async (work: () => Promise<unknown>, words: string, then: () => void) => {
    if (busy) return;
    setBusy(true);
    try {
      await work();
      then();
      toast({ words });
    } catch (error) {
      toast({ words: error instanceof Error ? error.message : 'It could not be done.' });
    } finally {
      setBusy(false);
      void queries.invalidateQueries();
    }
  };
  return {
    label: 'Undo last',
    second: isHere ? here.words : change ? `${when(change.at, today)}, ${change.words}` : 'Nothing of yours to undo',
    undo: busy
      ? undefined
      : isHere
        ? () => void carryOut(here.undo, `Undone: ${here.words}.`, () => tookBack(here))
        : change && !undo.isPending
          ? () => undo.mutate(change.id)
          : undefined,
    redo:
      again && !busy
        ? () => void carryOut(again.redo, `Done again: ${again.words}.`, () => didAgain(again))
        : undefined,
  };
}
