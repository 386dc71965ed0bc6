import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { queryKeys } from '../queryKeys';
import { FactList, type Fact } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { ByRules } from './ByRules';
import { useMessaging, type Setup } from './queries';
import { StandIn } from './StandIn';

type Edit = Parameters<ReturnType<typeof useMessaging>['mutateAsync']>[0];

const quietDays: Record<Schema<'QuietDays'>, string> = {
  none: 'No day',
  sundays: 'Sundays',
  weekends: 'Saturdays and Sundays',
  closed: 'Days on which we do not work',
};

/** How messages are signed, when they leave, and how replies are read. */
export function MessagesSection({ setup }: { setup: Setup }) {
  const edit = useMessaging();
  const { business } = setup;
  const facts: Fact<Edit>[] = [
    {
      key: 'signature',
      label: 'Signature',
      shown: business.signature || 'the coordinator, the business and its phone',
      fields: [
        {
          key: 'signature',
          label: 'Signature of the business',
          value: business.signature,
          kind: 'long',
          hint: 'Stands where a template says “signature”.',
        },
      ],
      edit: (values) => ({ signature: values.signature ?? '' }),
    },
    {
      key: 'replyThreshold',
      label: 'Replies',
      shown: `read without a person at ${business.replyThreshold} % or more`,
      fields: [
        {
          key: 'replyThreshold',
          label: 'Read without a person at so many per cent',
          value: String(business.replyThreshold),
          hint: 'Below that you are asked. “Stop” always stops.',
        },
      ],
      edit: (values) => ({ replyThreshold: values.replyThreshold ?? '' }),
    },
    {
      key: 'quiet',
      label: 'Quiet hours',
      shown:
        (business.quietFrom ? `${business.quietFrom} to ${business.quietUntil}, where the client is` : 'none') +
        (business.quietDays === 'none' ? '' : `; ${quietDays[business.quietDays].toLowerCase()}`),
      fields: [
        { key: 'quietFrom', label: 'From', value: business.quietFrom },
        {
          key: 'quietUntil',
          label: 'Until',
          value: business.quietUntil,
          hint: 'Follow-ups wait, by the time where the client is: as they booked, or as their number tells, or else by our clock. What answers at once, confirms or reminds of a visit does not wait.',
        },
        {
          key: 'quietDays',
          label: 'And on',
          value: business.quietDays,
          options: Object.entries(quietDays).map(([value, label]) => ({ value, label })),
        },
      ],
      edit: (values) => ({
        quietFrom: values.quietFrom ?? '',
        quietUntil: values.quietUntil ?? '',
        quietDays: values.quietDays as Schema<'QuietDays'>,
      }),
    },
    {
      key: 'mailsAnHour',
      label: 'At most',
      shown: business.mailsAnHour === 0 ? 'as many as there are' : `${business.mailsAnHour} messages an hour`,
      fields: [{ key: 'mailsAnHour', label: 'Messages an hour; 0 for no limit', value: String(business.mailsAnHour) }],
      edit: (values) => ({ mailsAnHour: values.mailsAnHour ?? '' }),
    },
  ];
  return (
    <>
      <FactList<Edit>
        name="setup.messages"
        title="Messages"
        beside={<Link to="/messages/templates">Templates</Link>}
        canEdit
        saving={edit}
        save={(part) => edit.mutateAsync(part)}
        facts={facts}
      />
      <WhatGoesOut />
      <ByRules />
      <StandIn />
    </>
  );
}

/** What goes to whom by itself, which template says it, and whether it goes. */
function WhatGoesOut() {
  const queries = useQueryClient();
  const toast = useToast();
  const list = useQuery({
    queryKey: queryKeys.templates,
    queryFn: async () => (await need(api.GET('/api/templates'))).items,
  });
  const turn = useMutation({
    mutationFn: ({ id, goes }: { id: string; goes: boolean }) =>
      need(api.POST('/api/templates/{id}/goes', { params: { path: { id } }, body: { goes } })),
    onSuccess: (now) =>
      toast({ words: `“${now.name}” ${now.goes ? 'goes' : 'does not go any more'}. U takes it back.` }),
    onError: (error) => toast({ words: error.message }),
    onSettled: () => queries.invalidateQueries(),
  });
  if (list.error) return <Trouble title="Not loaded">{list.error.message}</Trouble>;
  if (!list.data) return <ComingRows rows={6} />;
  const rows = list.data.filter((one) => one.sentWhen !== '');
  return (
    <table className="events-table">
      <caption>What goes out by itself</caption>
      <thead>
        <tr>
          <th scope="col">Goes</th>
          <th scope="col">When</th>
          <th scope="col">Says</th>
          <th scope="col" className="figures">
            in 90 days
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((one) => (
          <tr key={one.id}>
            <td>
              {one.optional ? (
                <input
                  type="checkbox"
                  aria-label={`“${one.name}” goes ${one.sentWhen}`}
                  checked={one.goes}
                  disabled={turn.isPending}
                  onChange={(event) => turn.mutate({ id: one.id, goes: event.target.checked })}
                />
              ) : (
                <span className="second">always</span>
              )}
            </td>
            <td>{one.sentWhen}</td>
            <td>
              <Link to={`/messages/templates/${one.id}`}>{one.name}</Link>
            </td>
            <td className="figures">{one.sent || ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
