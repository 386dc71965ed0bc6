import { Navigate, NavLink, useNavigate, useParams, useSearchParams, useLocation } from 'react-router';
import { ProblemError } from '../../shared/api';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { useKey } from '../keys';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { Views } from '../shell/Views';
import { Letter } from './Letter';
import { MoreButton } from '../shell/MoreButton';
import './messages.css';
import { PartsOfMessages } from './PartsOfMessages';
import { useHolding, useMessage, useMessages, useSendAgain, type MessageState } from './queries';
import { MessageMark } from '../shell/messageState';

const views: { state: MessageState | ''; label: string }[] = [
  { state: '', label: 'All' },
  { state: 'queued', label: 'Queued' },
  { state: 'sent', label: 'Sent' },
  { state: 'failed', label: 'Not sent' },
  { state: 'held', label: 'Held' },
  { state: 'cancelled', label: 'Cancelled' },
];

export function MessagesScreen() {
  const { id } = useParams();
  const [search, setSearch] = useSearchParams();
  const state = views.find((view) => view.state === search.get('state'))?.state ?? '';
  const list = useMessages(state);
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const one = useMessage(id);
  const message = one.data;
  const today = useToday();
  const navigate = useNavigate();
  const location = useLocation();
  const again = useSendAgain();
  const holding = useHolding();
  const toast = useToast();
  const place = rows.findIndex((row) => row.id === id);
  const go = (to: number) => {
    const row = rows[to];
    if (row) {
      void navigate(`/messages/${row.id}${location.search}`);
      document.querySelector(`[data-row="${row.id}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const first = rows[0];
  if (id === undefined && first) return <Navigate to={`/messages/${first.id}${location.search}`} replace />;
  if (one.error instanceof ProblemError && one.error.status === 404) return <NotFound what="message" />;
  const act = (label: string, what: 'hold' | 'let go' | 'cancel', said: string): PlinthBlock => ({
    label,
    disabled: holding.isPending,
    act: () =>
      message &&
      holding.mutate(
        { id: message.id, what },
        { onSuccess: () => toast({ words: said }), onError: (error) => toast({ words: error.message }) },
      ),
  });
  const blocks: PlinthBlock[] = message
    ? [
        ...(message.state === 'queued' ? [act('Hold', 'hold', 'Held until you let it go')] : []),
        ...(message.state === 'held' && message.gaps.length === 0 ? [act('Send now', 'let go', 'On its way')] : []),
        ...(message.state === 'queued' || message.state === 'held'
          ? [act('Cancel it', 'cancel', 'Cancelled; it does not leave')]
          : []),
        ...(message.state === 'failed'
          ? [
              {
                label: 'Send again',
                keyName: 'main' as const,
                main: true,
                act: () =>
                  again.mutate(message.id, {
                    onSuccess: () => toast({ words: 'Queued again' }),
                    onError: (error) => toast({ words: error.message }),
                  }),
              },
            ]
          : []),
        {
          label: 'Download',
          keyName: 'download',
          act: () => window.location.assign(`/api/messages/${message.id}/eml`),
        },
      ]
    : [];
  return (
    <Pillars
      title={message ? message.subject : 'Messages'}
      pillars={[
        {
          name: 'List',
          width: '460px',
          middling: '360px',
          folds: false,
          content: (
            <>
              <PartsOfMessages />
              <div className="pillar-head">
                <h1>Messages</h1>
                <small>newest first</small>
              </div>
              <Views
                label="Which messages"
                views={views}
                state={state}
                onState={(next) => setSearch(next ? { state: next } : {})}
              />
              {list.isPending && <ComingRows rows={10} />}
              {list.isError && (
                <Trouble title="Not loaded" again={() => void list.refetch()}>
                  {list.error.message}
                </Trouble>
              )}
              {list.isSuccess && rows.length === 0 && (
                <Empty fact="No messages here.">A confirmation is queued when you accept a plan.</Empty>
              )}
              <ul className="message-list">
                {rows.map((row) => (
                  <li key={row.id}>
                    <NavLink to={`/messages/${row.id}${location.search}`} data-row={row.id} className="message-row">
                      <span className="line-top">
                        <b>{row.toName || row.to}</b>
                        <MessageMark state={row.state} />
                      </span>
                      <span className="line-top">
                        <span className="message-subject">{row.subject}</span>
                        <span className="figures second">{when(row.sentAt ?? row.queuedAt, today)}</span>
                      </span>
                    </NavLink>
                  </li>
                ))}
              </ul>
              <MoreButton list={list} />
            </>
          ),
        },
        {
          name: 'As it reads',
          sheet: true,
          width: '1fr',
          content: message ? (
            <Letter message={message} today={today} />
          ) : one.error ? (
            <Trouble title="Not loaded" again={() => void one.refetch()}>
              {one.error.message}
            </Trouble>
          ) : id ? (
            <ComingRows />
          ) : null,
          blocks,
        },
      ]}
    />
  );
}
