import { NavLink, useLocation, useSearchParams } from 'react-router';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { MessageMark } from '../shell/messageState';
import { MoreButton } from '../shell/MoreButton';
import { Views } from '../shell/Views';
import { useToast } from '../shell/Toast';
import { useSendAllAgain, type MessageState, type useMessages } from './queries';

export const states: { state: MessageState | ''; label: string }[] = [
  { state: '', label: 'All' },
  { state: 'queued', label: 'Queued' },
  { state: 'held', label: 'Held' },
  { state: 'sent', label: 'Sent' },
  { state: 'failed', label: 'Not sent' },
  { state: 'cancelled', label: 'Cancelled' },
];

interface Props {
  list: ReturnType<typeof useMessages>;
  state: MessageState | '';
  today: string;
}

/** What goes out and went out, newest first. */
export function GoingOut({ list, state, today }: Props) {
  const [, setSearch] = useSearchParams();
  const location = useLocation();
  const all = useSendAllAgain();
  const toast = useToast();
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  return (
    <>
      <div className="pillar-head">
        <h2>Going out</h2>
        <small>newest first</small>
      </div>
      <Views
        label="Which messages"
        views={states}
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
      {state === 'failed' && rows.length > 1 && (
        <p>
          <button
            type="button"
            className="text-button"
            disabled={all.isPending}
            onClick={() =>
              all.mutate(undefined, { onSuccess: ({ count }) => toast({ words: `${count} queued again` }) })
            }
          >
            Send all again
          </button>
        </p>
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
                <span className="message-subject">
                  {row.channel === 'text' && <span className="second">Text: </span>}
                  {row.subject}
                </span>
                <span className="figures second">{when(row.sentAt ?? row.queuedAt, today)}</span>
              </span>
            </NavLink>
          </li>
        ))}
      </ul>
      <MoreButton list={list} />
    </>
  );
}
