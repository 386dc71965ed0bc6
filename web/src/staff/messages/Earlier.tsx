import { MessageLines } from '../shell/MessageLines';
import { SectionRows } from '../shell/SectionRows';
import { useMessageList } from '../shell/asked';

/** What went to them before. */
export function Earlier({ client, today }: { client: string; today: string }) {
  const list = useMessageList('client', client);
  return (
    <SectionRows title="Messages" small="newest first" list={list} empty={<p className="nothing second">None yet.</p>}>
      {(messages) => <MessageLines messages={messages.slice(0, 12)} today={today} />}
    </SectionRows>
  );
}
