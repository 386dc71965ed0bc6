import { useState } from 'react';
import { api, need } from '../../shared/api';
import { did } from '../shell/acts';
import { useToast } from '../shell/Toast';
import { useAnswered, useSeveral, useUndoSeveral, type Act } from './handling';
import type { SubmissionRow } from './queries';

/** What is asked for just now, and for which arrivals. */
export interface Asked {
  what: 'aside' | 'assign' | 'remind' | 'note';
  ids: string[];
  name: string;
}

const done: Record<Act['act'], string> = {
  accept: 'accepted',
  'set-aside': 'set aside',
  assign: 'given',
  remind: 'put off',
  note: 'noted',
};

/** Acts on the arrivals that are chosen in the list, or else on the one that is open. */
export function useActing(open: { id: string; name: string } | undefined, rows: SubmissionRow[], leave: () => void) {
  const [chosen, setChosen] = useState<string[]>([]);
  const [asked, setAsked] = useState<Asked | null>(null);
  const toast = useToast();
  const several = useSeveral();
  const answered = useAnswered();
  const undo = useUndoSeveral();
  // What was decided meanwhile, by her or by a colleague, is chosen no more.
  const there = chosen.filter((id) => rows.some((row) => row.id === id));
  const one = open ? { ids: [open.id], name: open.name } : null;
  const targets =
    there.length > 0
      ? { ids: there, name: there.length === 1 ? nameOf(rows, there[0]) : `these ${there.length}` }
      : one;

  const ask = (what: Asked['what']) => {
    several.reset();
    if (targets) setAsked({ what, ...targets });
  };
  const tell = (
    what: string,
    ids: string[],
    name: string,
    result: { changes: string[]; kept: { record: { label: string }; why: string }[] },
  ) => {
    setAsked(null);
    setChosen([]);
    const many = ids.length > 1;
    if (many && result.changes.length > 0)
      did({
        words: `${result.changes.length} ${what}`,
        after: '',
        covers: result.changes,
        undo: () => undo.mutateAsync(result.changes),
        redo: async () => {
          for (const id of result.changes) await need(api.POST('/api/changes/{id}/redo', { params: { path: { id } } }));
        },
      });
    toast({
      words: many ? `${result.changes.length} of ${ids.length} ${what}` : `${name} ${what}`,
      details: result.kept.map((item) => `${item.record.label}: ${item.why}`),
      ...(result.changes.length > 0
        ? { action: { label: 'Undo', shown: 'U', act: () => undo.mutate(result.changes) } }
        : {}),
    });
  };
  const act = (what: Act, to: { ids: string[]; name: string } | null = asked ?? targets) => {
    if (!to || several.isPending) return;
    const isOpen = open !== undefined && to.ids.includes(open.id);
    several.mutate(
      { ids: to.ids, act: what },
      {
        onSuccess: (result) => {
          tell(
            what.act === 'remind' && what.remindAt === '' ? 'taken up again' : done[what.act],
            to.ids,
            to.name,
            result,
          );
          if (isOpen && (what.act === 'set-aside' || what.act === 'accept')) leave();
        },
        // A panel says it itself.
        onError: (error) => {
          if (!asked) toast({ words: error.message });
        },
      },
    );
  };
  return {
    chosen: there,
    choose: (id: string) => setChosen(there.includes(id) ? there.filter((other) => other !== id) : [...there, id]),
    chooseNone: () => setChosen([]),
    asked,
    ask,
    leaveIt: () => setAsked(null),
    act,
    takeUp: () => one && act({ act: 'remind', remindAt: '' }, one),
    answer: () =>
      open &&
      answered.mutate(open.id, {
        onSuccess: () => toast({ words: `You answered ${open.name}` }),
        onError: (error) => toast({ words: error.message }),
      }),
    busy: several.isPending,
    error: several.error?.message ?? null,
  };
}

export type Acting = ReturnType<typeof useActing>;

function nameOf(rows: SubmissionRow[], id: string | undefined): string {
  return rows.find((row) => row.id === id)?.name ?? 'it';
}
