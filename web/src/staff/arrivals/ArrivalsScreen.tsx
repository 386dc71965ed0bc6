import { lazy, Suspense, useCallback, useContext, useEffect, useMemo, useRef, useState } from 'react';
import { Navigate, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { ProblemError } from '../../shared/api';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { useKey } from '../keys';
import { isSentAlready, SentContext, told, useUndo } from '../shell/changes';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import { ChoiceNote, type PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { ArrivalList } from './ArrivalList';
import { useActing } from './acting';
import { Decided } from './Decided';
import { useDeciding } from './decisions';
import { HandlingLinks } from './HandlingLinks';
import { LookingContext, nowhere, type Looking } from '../plan/looking';
import { PlanView, useGoToDecision } from '../plan/PlanView';
import { useAccept, useAhead, useSubmission, useSubmissions, useTakeBack, type ListState } from './queries';
import { Sheet } from './Sheet';
import { Strings } from './Strings';
import { WhatChanged } from './WhatChanged';

// What an act still asks for comes after the first screen, and before anybody presses its key.
const asking = () => import('./AskedPanel');
const AskedPanel = lazy(async () => ({ default: (await asking()).AskedPanel }));

/** Where the coordinator decides: the list, the sheet as written, the plan. */
export function ArrivalsScreen() {
  // Where it does not come now, it is asked for again once it is needed.
  useEffect(() => void asking().catch(() => undefined), []);
  const { id } = useParams();
  const [search] = useSearchParams();
  const location = useLocation();
  const navigate = useNavigate();
  const given = search.get('state');
  const state: ListState = given === 'accepted' || given === 'set-aside' || given === 'owed' ? given : 'waiting';
  const list = useSubmissions(state);
  const rows = useMemo(() => list.data?.pages.flatMap((page) => page.items) ?? [], [list.data]);
  const first = rows[0];
  if (id === undefined && first) return <Navigate to={`/arrivals/${first.id}${location.search}`} replace />;
  return (
    <Arrivals
      key={state}
      id={id}
      state={state}
      // Another list begins with its own first one: what was open does not belong to it.
      onState={(next) => void navigate(next === 'waiting' ? '/arrivals' : `/arrivals?state=${next}`)}
      list={list}
      rows={rows}
    />
  );
}

interface Props {
  id: string | undefined;
  state: ListState;
  onState: (state: ListState) => void;
  list: ReturnType<typeof useSubmissions>;
  rows: NonNullable<ReturnType<typeof useSubmissions>['data']>['pages'][number]['items'];
}

function Arrivals({ id, state, onState, list, rows }: Props) {
  const today = useToday();
  const location = useLocation();
  const navigate = useNavigate();
  const toast = useToast();
  const undo = useUndo();
  const askFirst = useContext(SentContext);
  const one = useSubmission(id);
  const submission = one.data;
  const deciding = useDeciding(id ?? '');
  const plan = submission?.plan ?? null;
  const accept = useAccept();
  const takeBack = useTakeBack();
  const [part, setPart] = useState(0);
  const [at, look] = useState<Looking>(nowhere);
  const frame = useRef<HTMLElement>(null);
  const goToDecision = useGoToDecision(plan);
  const waiting = submission?.state === 'waiting';
  const open = plan?.lines.find((line) => line.choice?.open);
  const place = rows.findIndex((row) => row.id === id);
  useAhead([rows[place + 1]?.id, rows[place - 1]?.id], submission !== undefined);

  const go = (to: number) => {
    const row = rows[to];
    if (row) {
      accept.reset();
      void navigate(`/arrivals/${row.id}${location.search}`);
      document.querySelector(`[data-row="${row.id}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));

  const leave = () => {
    const next = rows[place + 1] ?? rows[place - 1];
    void navigate(next ? `/arrivals/${next.id}${location.search}` : `/arrivals${location.search}`);
    setPart(0);
  };

  const openSheet = useCallback(() => setPart(1), []);
  const acting = useActing(submission, rows, leave);
  const ask = (what: 'aside' | 'assign' | 'remind' | 'note') => {
    setPart(2);
    acting.ask(what);
  };
  useKey('choose', waiting && id ? () => acting.choose(id) : undefined);

  const carryOut = () => {
    if (acting.chosen.length > 0) {
      acting.act({ act: 'accept' });
      return;
    }
    if (!submission || !plan || accept.isPending || deciding.busy) return;
    const edit = document.querySelector<HTMLElement>('[data-open-edit]');
    if (edit) {
      // What is typed there is not in the plan yet.
      setPart(edit.closest('.plan, .add-lines') ? 2 : 1);
      edit.querySelector<HTMLElement>('input, select, textarea')?.focus();
      toast({ words: 'An edit is open. Save it or cancel it, then accept.' });
      return;
    }
    if (open) {
      setPart(2);
      setTimeout(goToDecision);
      return;
    }
    accept.mutate(
      { id: submission.id, plan, version: submission.decided.version },
      {
        onSuccess: (done) => {
          toast({
            words: `Plan accepted for ${submission.name}, ${plan.lines.length} lines done`,
            action: { label: 'Undo', shown: 'U', act: () => undo.mutate(done.change.id) },
          });
          leave();
        },
      },
    );
  };

  const back = () => {
    if (!submission) return;
    const go = (sent: boolean) =>
      takeBack.mutate(
        { id: submission.id, sent },
        {
          onSuccess: (undone) => toast(told(undone, () => undo.mutate({ id: undone.change, all: true, sent: true }))),
          onError: (error) => {
            if (isSentAlready(error)) askFirst({ title: 'Sent already', words: error.message, goOn: () => go(true) });
            else toast({ words: error.message });
          },
        },
      );
    go(false);
  };

  if (one.error instanceof ProblemError && one.error.status === 404) return <NotFound what="submission" />;

  const sheetBlocks: PlinthBlock[] = waiting
    ? [
        {
          label: 'Set aside',
          keyName: 'aside',
          act: () => ask('aside'),
        },
      ]
    : [];
  const planBlocks: PlinthBlock[] = waiting
    ? [
        {
          label:
            accept.isPending || acting.busy
              ? 'Accepting…'
              : acting.chosen.length > 0
                ? `Accept ${acting.chosen.length} plans`
                : 'Accept plan',
          keyName: 'main',
          main: true,
          act: carryOut,
          disabled: !plan || accept.isPending || acting.busy || deciding.busy,
        },
        {
          label: 'Place a visit',
          keyName: 'newVisit',
          act: () => void navigate(`/diary?new=1&submission=${submission.id}`),
        },
      ]
    : submission
      ? [
          {
            label: submission.state === 'accepted' ? 'Take the plan back' : 'Put back among arrivals',
            act: back,
            disabled: takeBack.isPending,
          },
        ]
      : [];
  const decideAt = open?.parts.find((p) => p.answer !== null)?.answer ?? null;
  const looked = at.answer !== null;

  return (
    <LookingContext value={{ at, deciding: decideAt, look }}>
      <Pillars
        title={submission ? `${submission.name}, Arrivals` : 'Arrivals'}
        mainRef={frame}
        shown={part}
        onShow={setPart}
        over={
          <Strings
            frame={frame}
            answer={looked ? at.answer : decideAt}
            line={looked ? at.line : (open?.key ?? null)}
            decides={!looked || at.line === open?.key}
          />
        }
        note={
          open && waiting && acting.chosen.length === 0 ? (
            <ChoiceNote
              words={`Line ${open.number} needs a choice first`}
              onGo={() => {
                setPart(2);
                setTimeout(goToDecision);
              }}
            />
          ) : undefined
        }
        pillars={[
          {
            name: 'List',
            width: '236px',
            wide: '280px',
            middling: '236px',
            folds: true,
            tally: rows.length || undefined,
            content: (
              <ArrivalList
                state={state}
                onState={onState}
                list={list}
                rows={rows}
                today={today}
                acting={acting}
                onAsk={ask}
                onOpen={openSheet}
              />
            ),
          },
          {
            name: 'Sheet',
            sheet: true,
            width: '384px',
            wide: '460px',
            middling: '352px',
            tally: submission?.answers.length,
            content: submission ? (
              <Sheet
                key={submission.id}
                submission={submission}
                onPutRight={waiting ? deciding.putRight : undefined}
                handling={<HandlingLinks submission={submission} today={today} onAsk={ask} acting={acting} />}
              />
            ) : (
              <Waiting one={one} list={list} empty={list.isSuccess && rows.length === 0} />
            ),
            blocks: sheetBlocks,
          },
          {
            name: 'Plan',
            width: '1fr',
            tally: plan?.open ? plan.open : plan?.lines.length,
            choose: open !== undefined,
            content: submission ? (
              <>
                {acting.asked && (
                  <Suspense fallback={null}>
                    <AskedPanel acting={acting} open={submission.id} onLeave={leave} />
                  </Suspense>
                )}
                {accept.error && accept.variables.id === submission.id && (
                  <Trouble title="Not accepted">
                    {accept.error.message}
                    {plan && <WhatChanged before={accept.variables.plan} now={plan} />}
                  </Trouble>
                )}
                {waiting && plan ? (
                  <PlanView plan={plan} hold={submission.holdSeconds} onDecide={deciding.choose} deciding={deciding} />
                ) : (
                  <Decided submission={submission} today={today} />
                )}
              </>
            ) : null,
            blocks: planBlocks,
          },
        ]}
      />
    </LookingContext>
  );
}

function Waiting({ one, list, empty }: { one: ReturnType<typeof useSubmission>; list: Props['list']; empty: boolean }) {
  // The list says it already; nothing else will come.
  if (list.isError) return null;
  if (one.error) {
    return (
      <Trouble title="Not loaded" again={() => void one.refetch()}>
        {one.error.message}
      </Trouble>
    );
  }
  if (empty) return <Empty fact="Nothing to decide.">Choose Accepted or Set aside to look at earlier ones.</Empty>;
  return <ComingRows rows={9} />;
}
