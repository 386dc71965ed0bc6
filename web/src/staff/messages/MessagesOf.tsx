import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { Link } from 'react-router';
import { Allowed } from '../shell/Allowed';
import { useToday } from '../shell/day';
import { MessageLines } from '../shell/MessageLines';
import { SectionRows } from '../shell/SectionRows';

const SHOWN = 8;

function Messages({ of, id, empty, most }: { of: 'client' | 'project'; id: string; empty: string; most: number }) {
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.messagesOf(of, id),
    queryFn: () => need(api.GET('/api/messages', { params: { query: { [of]: id } } })),
  });
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
  return <Messages of="client" id={id} empty="Nothing has been sent yet." most={SHOWN} />;
}

export function MessagesOfProject({ id }: { id: string }) {
  return <Messages of="project" id={id} empty="None yet." most={40} />;
}
