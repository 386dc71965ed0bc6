import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

/** What a mail of the plan will say, word for word, as it is decided so far. */
export function MailAhead({ submission, line }: { submission: string; line: string }) {
  const mails = useQuery({
    queryKey: queryKeys.mailsAhead(submission),
    queryFn: async () =>
      (await need(api.GET('/api/submissions/{id}/mails', { params: { path: { id: submission } } }))).items,
    // What was decided since may have changed it.
    staleTime: 0,
  });
  const mail = mails.data?.find((one) => one.line === line);
  if (mails.isPending) return <p className="second">Being written …</p>;
  if (mails.error) return <p role="alert">{mails.error.message}</p>;
  if (!mail) return <p className="second">Nothing is sent here as long as something above is open.</p>;
  return (
    <blockquote className="mail-ahead" aria-label="What it will say">
      <p>
        <b>{mail.subject}</b>
        <span className="second"> to {mail.to}</span>
      </p>
      <p className="letter">{mail.text}</p>
    </blockquote>
  );
}
