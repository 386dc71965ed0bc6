import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { useToday } from '../shell/day';
import { MessageLines } from '../shell/MessageLines';
import { SectionRows } from '../shell/SectionRows';

const SHOWN = 8;

function Messages({
  of,
  id,
  small,
  empty,
  most,
}: {
  of: 'client' | 'project';
  id: string;
  small: string;
  empty: string;
  most: number;
}) {
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.messagesOf(of, id),
    queryFn: () => need(api.GET('/api/messages', { params: { query: { [of]: id } } })),
  });
  return (
    <SectionRows title="Messages" small={small} list={list} empty={<p className="nothing second">{empty}</p>}>
      {(messages) => <MessageLines messages={messages.slice(0, most)} today={today} />}
    </SectionRows>
  );
}

export function MessagesOfClient({ id }: { id: string }) {
  return <Messages of="client" id={id} small="newest first" empty="Nothing has been sent yet." most={SHOWN} />;
}

export function MessagesOfProject({ id }: { id: string }) {
  return <Messages of="project" id={id} small="" empty="None yet." most={40} />;
}
