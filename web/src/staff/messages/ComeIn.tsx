import { NavLink } from 'react-router';
import { Mark } from '../../shared/Mark';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { MoreButton } from '../shell/MoreButton';
import { markOf, meanings, useIncoming, type IncomingRow } from './incoming';
import { PartsOfMessages } from './PartsOfMessages';

/** What came in: first what a person has to read, then the rest, newest first. */
export function ComeIn({ list, today }: { list: ReturnType<typeof useIncoming>; today: string }) {
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const open = rows.filter((row) => row.state === 'open');
  const rest = rows.filter((row) => row.state !== 'open');
  const many = list.data?.pages[0]?.open ?? 0;
  const notRead = list.data?.pages[0]?.notRead ?? 0;
  return (
    <>
      <PartsOfMessages />
      <div className="pillar-head">
        <h1>Come in</h1>
        <small>{many === 0 ? 'nothing to read' : `${many} to read`}</small>
      </div>
      {list.isPending && <ComingRows rows={4} />}
      {list.isError && (
        <Trouble title="Not loaded" again={() => void list.refetch()}>
          {list.error.message}
        </Trouble>
      )}
      {list.isSuccess && rows.length === 0 && (
        <Empty fact="Nothing has come in.">Answers to your messages stand here, with what they mean.</Empty>
      )}
      {notRead > 0 && (
        <Trouble title="Not read">
          {notRead === 1 ? 'One mail' : `${notRead} mails`} could not be taken in. What came lies whole in the folder
          mail-in/not-read of the data.
        </Trouble>
      )}
      <ul className="message-list">
        {[...open, ...rest].map((row) => (
          <li key={row.id}>
            <Row row={row} today={today} />
          </li>
        ))}
      </ul>
      <MoreButton list={list} />
    </>
  );
}

function Row({ row, today }: { row: IncomingRow; today: string }) {
  const [kind, word] = markOf(row);
  const asked = meanings.find((one) => one.value === row.says)?.asked;
  return (
    <NavLink
      to={`/messages/in/${row.id}`}
      data-row={row.id}
      className={row.state === 'open' ? 'message-row to-read' : 'message-row'}
    >
      <span className="line-top">
        <b>{row.client?.label ?? row.fromName}</b>
        {row.state === 'open' ? (
          <span className="figures">{row.says === 'other' ? '' : `${row.confidence} %`}</span>
        ) : (
          <Mark kind={kind}>{word}</Mark>
        )}
      </span>
      {row.state === 'open' && row.origin === 'person' && (
        <span className="to-read-asks">
          <Mark kind="choose">{asked}</Mark>
        </span>
      )}
      <span className="line-top">
        <span className="message-subject">
          {row.channel === 'text' && <span className="second">Text: </span>}
          {row.begins || row.subject}
        </span>
        <span className="figures second">{when(row.at, today)}</span>
      </span>
    </NavLink>
  );
}
