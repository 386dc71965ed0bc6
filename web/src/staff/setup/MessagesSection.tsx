import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { FactList, type Fact } from '../shell/FactList';
import { EventsTable } from './EventsTable';
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
          hint: 'Below that you are asked. A “stop” and nothing else stops at once.',
        },
      ],
      edit: (values) => ({ replyThreshold: values.replyThreshold ?? '' }),
    },
    {
      key: 'mailServer',
      label: 'Who wrote',
      shown: business.mailServer
        ? `believed where ${business.mailServer} has checked it`
        : 'believed only of answers to our own letters',
      fields: [
        {
          key: 'mailServer',
          label: 'Name of your own mail server',
          value: business.mailServer,
          hint: 'As it stands first in “Authentication-Results” of a letter that reached you. Leave it empty, and letters that answer none of ours are always read by a person.',
        },
      ],
      edit: (values) => ({ mailServer: values.mailServer ?? '' }),
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
      <EventsTable />
      <StandIn />
    </>
  );
}
