import { useState } from 'react';
import { Navigate, useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { ProblemError } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { useKey, useLetters } from '../keys';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { useOnce } from '../shell/useOnce';
import { ComeIn } from './ComeIn';
import { GoingOut, states } from './GoingOut';
import {
  meanings,
  useDecide,
  useIncoming,
  useReply,
  useTakeBackReading,
  type Meaning,
  useMakeArrival,
} from './incoming';
import { OtherAddress } from './OtherAddress';
import { Letter } from './Letter';
import './messages.css';
import { PlayClient } from './PlayClient';
import { useHolding, useMessage, useMessages, useSendAgain } from './queries';
import { ReplyLetter } from './ReplyLetter';

/** What came in, what goes out, and the one that is read. */
export function MessagesScreen() {
  const { id, reply: replyId } = useParams();
  const [search] = useSearchParams();
  const location = useLocation();
  const navigate = useNavigate();
  const today = useToday();
  const state = states.find((one) => one.state === search.get('state'))?.state ?? '';
  const out = useMessages(state);
  const incoming = useIncoming();
  const sent = out.data?.pages.flatMap((page) => page.items) ?? [];
  const came = incoming.data?.pages.flatMap((page) => page.items) ?? [];
  const inOrder = [...came.filter((row) => row.state === 'open'), ...came.filter((row) => row.state !== 'open')];
  const paths = replyId
    ? inOrder.map((row) => ({ id: row.id, to: `/messages/in/${row.id}` }))
    : sent.map((row) => ({ id: row.id, to: `/messages/${row.id}${location.search}` }));
  const place = paths.findIndex((one) => one.id === (replyId ?? id));
  const go = (to: number) => {
    const next = paths[to];
    if (next) {
      void navigate(next.to);
      document.querySelector(`[data-row="${next.id}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const letter = useLetterPillar(id, incoming.data?.pages[0]?.standIn ?? false);
  const reading = useReplyPillar(replyId, today);
  const first = inOrder.find((row) => row.state === 'open');
  if (id === undefined && replyId === undefined) {
    if (first) return <Navigate to={`/messages/in/${first.id}`} replace />;
    const newest = sent[0];
    if (newest && incoming.isSuccess) return <Navigate to={`/messages/${newest.id}${location.search}`} replace />;
  }
  if (letter.missing || reading.missing) return <NotFound what="message" />;
  return (
    <Pillars
      title={reading.title ?? letter.title ?? 'Messages'}
      pillars={[
        {
          name: 'In',
          tally: incoming.data?.pages[0]?.open ?? 0,
          choose: (incoming.data?.pages[0]?.open ?? 0) > 0,
          width: '372px',
          middling: '300px',
          content: <ComeIn list={incoming} today={today} />,
        },
        {
          name: 'Out',
          width: '372px',
          middling: '300px',
          content: <GoingOut list={out} state={state} today={today} />,
        },
        {
          name: 'Reads',
          sheet: true,
          width: '1fr',
          content: replyId ? reading.content : letter.content,
          blocks: replyId ? reading.blocks : letter.blocks,
        },
      ]}
    />
  );
}

interface Shown {
  title?: string | undefined;
  missing: boolean;
  content: React.ReactNode;
  blocks: PlinthBlock[];
}

const isMissing = (error: Error | null) => error instanceof ProblemError && error.status === 404;

function waiting(one: { error: Error | null; refetch: () => Promise<unknown> }, id: string | undefined) {
  if (one.error) {
    return (
      <Trouble title="Not loaded" again={() => void one.refetch()}>
        {one.error.message}
      </Trouble>
    );
  }
  return id ? <ComingRows /> : null;
}

/** One that went out or will. */
function useLetterPillar(id: string | undefined, standIn: boolean): Shown {
  const one = useMessage(id);
  const again = useSendAgain();
  const holding = useHolding();
  const today = useToday();
  const toast = useToast();
  const message = one.data;
  if (!message) return { missing: isMissing(one.error), content: waiting(one, id), blocks: [] };
  const act = (label: string, what: 'hold' | 'let go' | 'cancel', said: string): PlinthBlock => ({
    label,
    disabled: holding.isPending,
    act: () =>
      holding.mutate(
        { id: message.id, what },
        { onSuccess: () => toast({ words: said }), onError: (error) => toast({ words: error.message }) },
      ),
  });
  const blocks: PlinthBlock[] = [
    ...(message.state === 'failed'
      ? [
          {
            label: 'Send again',
            keyName: 'main' as const,
            main: true,
            act: () =>
              again.mutate(
                { id: message.id },
                {
                  onSuccess: () => toast({ words: 'Queued again' }),
                  onError: (error) => toast({ words: error.message }),
                },
              ),
          },
        ]
      : []),
    ...(message.state === 'queued' ? [act('Hold', 'hold', 'Held until you let it go')] : []),
    ...(message.state === 'held' && message.gaps.length === 0 ? [act('Send now', 'let go', 'On its way')] : []),
    ...(message.state === 'queued' || message.state === 'held'
      ? [act('Cancel it', 'cancel', 'Cancelled; it does not leave')]
      : []),
    ...(message.canDownload
      ? [
          {
            label: 'Download',
            keyName: 'download' as const,
            act: () => window.location.assign(`/api/messages/${message.id}/eml`),
          },
        ]
      : []),
  ];
  return {
    title: message.subject,
    missing: false,
    blocks,
    content: (
      <>
        <Letter message={message} today={today} />
        {message.state === 'failed' && message.channel === 'mail' && (
          <OtherAddress key={message.id} message={message} />
        )}
        {standIn && message.kind !== 'notice' && message.kind !== 'test' && message.state === 'sent' && (
          <PlayClient key={message.id} message={message.id} name={message.toName} />
        )}
      </>
    ),
  };
}

/** One that came in. */
function useReplyPillar(id: string | undefined, today: string): Shown {
  const one = useReply(id);
  const decide = useDecide();
  const back = useTakeBackReading();
  const arrive = useMakeArrival();
  const toast = useToast();
  const navigate = useNavigate();
  const once = useOnce();
  const [choice, setChoice] = useState<{ of: string; says: Meaning } | null>(null);
  const reply = one.data;
  const chosen = reply && choice?.of === reply.id ? choice.says : (reply?.says ?? 'other');
  const choose = (says: Meaning) => {
    if (reply) setChoice({ of: reply.id, says });
  };
  useLetters(reply?.state === 'open' ? meanings.map((each) => each.hotkey) : [], (key) => {
    const meaning = meanings.find((each) => each.hotkey === key);
    if (meaning) choose(meaning.value);
  });
  if (!reply) return { missing: isMissing(one.error), content: waiting(one, id), blocks: [] };
  const decided = (says: Meaning | 'left', words: string) =>
    once((done) =>
      decide.mutate(
        { id: reply.id, says },
        { onSettled: done, onSuccess: () => toast({ words: `${words}. U takes it back.` }) },
      ),
    );
  const word = meanings.find((each) => each.value === chosen)?.label.toLowerCase() ?? '';
  const blocks: PlinthBlock[] = [
    ...(reply.state === 'open'
      ? [
          {
            label: decide.isPending ? 'Doing it…' : `Read as ${word}`,
            keyName: 'main' as const,
            main: true,
            disabled: decide.isPending,
            act: () => decided(chosen, `Read as ${word}`),
          },
          { label: 'Nothing to do', disabled: decide.isPending, act: () => decided('left', 'Left as it is') },
        ]
      : []),
    ...(reply.change
      ? [
          {
            label: 'Take it back',
            disabled: back.isPending,
            act: () =>
              back.mutate(reply.change ?? '', {
                onSuccess: () => toast({ words: 'Taken back: it waits to be read' }),
                onError: (error) => toast({ words: error.message }),
              }),
          },
        ]
      : []),
    ...(reply.origin === 'person'
      ? [
          {
            label: 'Answer',
            keyName: 'write' as const,
            act: () => void navigate(`/messages/write?answers=${reply.id}`),
          },
        ]
      : []),
    ...(reply.state === 'open' && reply.canArrive
      ? [
          {
            label: 'To the arrivals',
            disabled: arrive.isPending,
            act: () =>
              arrive.mutate(reply.id, {
                onSuccess: () => toast({ words: 'It is an arrival now' }),
                onError: (error) => toast({ words: error.message }),
              }),
          },
        ]
      : []),
    ...(reply.channel === 'mail'
      ? [
          {
            label: 'Download',
            keyName: 'download' as const,
            act: () => window.location.assign(`/api/replies/${reply.id}/eml`),
          },
        ]
      : []),
  ];
  return {
    title: `From ${reply.fromName}`,
    missing: false,
    blocks,
    content: (
      <ReplyLetter
        reply={reply}
        today={today}
        chosen={chosen}
        onChoose={choose}
        fault={decide.error && decide.variables.id === reply.id ? decide.error.message : ''}
      />
    ),
  };
}
