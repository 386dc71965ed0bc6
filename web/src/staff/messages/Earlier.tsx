import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { MessageLines } from '../shell/MessageLines';
import { SectionRows } from '../shell/SectionRows';

/** What went to them before. */
export function Earlier({ client, today }: { client: string; today: string }) {
  const list = useQuery({
    queryKey: queryKeys.messagesOf('client', client),
    queryFn: () => need(api.GET('/api/messages', { params: { query: { client } } })),
  });
  return (
    <SectionRows title="Messages" small="newest first" list={list} empty={<p className="nothing second">None yet.</p>}>
      {(messages) => <MessageLines messages={messages.slice(0, 12)} today={today} />}
    </SectionRows>
  );
}
