import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { when } from '../../shared/words';
import { markOf } from './incoming';
import { queryKeys } from '../queryKeys';
import { Link } from 'react-router';
import { Allowed } from '../shell/Allowed';
import { useToday } from '../shell/day';
import { MessageLines } from '../shell/MessageLines';
import { SectionRows } from '../shell/SectionRows';
import { useMessageList } from '../shell/asked';

const SHOWN = 8;

function Messages({ of, id, empty, most }: { of: 'client' | 'project'; id: string; empty: string; most: number }) {
  const today = useToday();
  const list = useMessageList(of, id);
  return (
    <SectionRows
      title="Messages"
      small={<WriteLink of={of} id={id} />}
      list={list}
      empty={<p className="nothing second">{empty}</p>}
    >
      {(messages) => <MessageLines messages={messages.slice(0, most)} today={today} />}
    </SectionRows>
  );
}

/** Where one writes to them by hand. */
function WriteLink({ of, id }: { of: 'client' | 'project'; id: string }) {
  return (
    <Allowed to="messages.write">
      <Link to={`/messages/write?${of}=${id}`}>Write</Link>
    </Allowed>
  );
}

export function MessagesOfClient({ id }: { id: string }) {
  return (
    <>
      <WroteBack client={id} />
      <Messages of="client" id={id} empty="Nothing has been sent yet." most={SHOWN} />
    </>
  );
}

/** What a client wrote, above what went to them. */
function WroteBack({ client }: { client: string }) {
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.repliesOf(client),
    queryFn: () => need(api.GET('/api/replies', { params: { query: { client } } })),
  });
  if (!list.data || list.data.items.length === 0) return null;
  return (
    <SectionRows title="Wrote back" small="newest first" list={list} empty={null}>
      {(items) => (
        <ul className="rows lines">
          {items.slice(0, SHOWN).map((one) => {
            const [kind, word] = markOf(one);
            return (
              <li key={one.id}>
                <span className="line-top">
                  <Link to={`/messages/in/${one.id}`}>{one.begins || one.subject}</Link>
                  <Mark kind={kind}>{word}</Mark>
                </span>
                <small>{when(one.at, today)}</small>
              </li>
            );
          })}
        </ul>
      )}
    </SectionRows>
  );
}

export function MessagesOfProject({ id }: { id: string }) {
  return <Messages of="project" id={id} empty="None yet." most={40} />;
}
