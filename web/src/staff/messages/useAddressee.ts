import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { useReply } from './incoming';
import { useClient } from '../shell/asked';

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
      to: reply.data.channel === 'mail' ? reply.data.from : '',
      phone: reply.data.channel === 'text' ? reply.data.from : '',
      channel: reply.data.channel,
      name: reply.data.client?.label ?? reply.data.fromName,
      subject: /^re:/i.test(reply.data.subject) ? reply.data.subject : `Re: ${reply.data.subject}`,
      before: reply.data.said,
    };
  if (arrival.data)
    return {
      isComing,
      to: arrival.data.answers.find((answer) => answer.type === 'email')?.text ?? '',
      phone: arrival.data.answers.find((answer) => answer.type === 'phone')?.text ?? '',
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
    to: one.data?.contactPoints.find((point) => point.kind === 'email')?.value ?? '',
    phone: one.data?.contactPoints.find((point) => point.kind === 'phone')?.value ?? '',
    channel: 'mail' as const,
    name: one.data?.name ?? '',
    subject: '',
    before: '',
  };
}
