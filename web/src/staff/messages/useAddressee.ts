import { useQuery } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { useReply } from './incoming';
import { useClient } from '../shell/asked';

/** Where a letter goes, by its channel; what is not there is what the client's record says. */
export type Addresses = Partial<Record<Schema<'MessageChannel'>, string>>;

/** By what somebody can be written to, and where. */
export function useWays(client: string) {
  return useQuery({
    queryKey: queryKeys.messageWays(client),
    queryFn: () => need(api.GET('/api/messages/ways', { params: { query: client ? { client } : {} } })),
    // Asked for anew when it is written to: an address may have been put on file since.
    staleTime: 0,
  });
}

/** Whom a letter goes to where nobody has typed it: the client's first address, or whoever wrote. */
export function useAddressee(client: string, submission: string, answers: string) {
  const one = useClient(client);
  const arrival = useQuery({
    queryKey: queryKeys.submission(submission),
    queryFn: () => need(api.GET('/api/submissions/{id}', { params: { path: { id: submission } } })),
    enabled: submission !== '',
  });
  const reply = useReply(answers || undefined);
  // Until it is known where it goes nothing is sent; what could not be had is written by hand.
  const isComing = one.isLoading || arrival.isLoading || reply.isLoading;
  if (reply.data)
    return {
      isComing,
      to: { [reply.data.channel]: reply.data.from } as Addresses,
      channel: reply.data.channel,
      name: reply.data.client?.label ?? reply.data.fromName,
      subject: /^re:/i.test(reply.data.subject) ? reply.data.subject : `Re: ${reply.data.subject}`,
      before: reply.data.said,
    };
  if (arrival.data)
    return {
      isComing,
      to: {
        mail: arrival.data.answers.find((answer) => answer.type === 'email')?.text ?? '',
        text: arrival.data.answers.find((answer) => answer.type === 'phone')?.text ?? '',
      } as Addresses,
      channel: arrival.data.channel === 'text' ? ('text' as const) : ('mail' as const),
      name: arrival.data.name,
      subject: '',
      before: arrival.data.answers
        .filter((answer) => answer.text !== '')
        .map((answer) => `${answer.wording}\n${answer.text}`)
        .join('\n\n'),
    };
  return {
    isComing,
    to: {} as Addresses,
    channel: 'mail' as const,
    name: one.data?.name ?? '',
    subject: '',
    before: '',
  };
}
