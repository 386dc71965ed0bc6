import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { CustomFacts } from '../shell/CustomFacts';
import { FactList, type Fact } from '../shell/FactList';
import { RecordLink } from '../shell/RecordLink';
import { useEditClient, type ClientEdit } from './queries';

type Client = Schema<'Client'>;
type Point = Client['contactPoints'][number];

type ClientFact = Fact<ClientEdit>;

const lines = (text: string) => text.split('\n').filter((line) => line.trim() !== '');
const reach = { email: 'Email', phone: 'Phone' } as const;

function pointFact(point: Point): ClientFact {
  const kind = point.kind === 'email' ? 'email' : 'tel';
  return {
    key: point.id,
    label: reach[point.kind],
    shown: point.text,
    fields: [{ key: 'value', label: reach[point.kind], value: point.text, kind }],
    edit: ({ value = '' }) => ({ contactPoints: [{ id: point.id, was: point.value, kind: point.kind, value }] }),
    remove: { contactPoints: [{ id: point.id, was: point.value, kind: point.kind, value: '', remove: true }] },
  };
}

/** A mail address or a number that is not there yet. */
function newPoint(kind: Point['kind']): ClientFact {
  return {
    key: `new-${kind}`,
    label: reach[kind],
    shown: '',
    fields: [{ key: 'value', label: `Another ${kind}`, value: '', kind: kind === 'email' ? 'email' : 'tel' }],
    edit: ({ value = '' }) => ({ contactPoints: [{ id: null, kind, value }] }),
  };
}

function factsOf(client: Client, staff: Schema<'Offer'>[]): ClientFact[] {
  return [
    {
      key: 'name',
      label: 'Name',
      shown: client.name,
      fields: [
        { key: 'givenName', label: 'Given name', value: client.givenName },
        { key: 'familyName', label: 'Family name', value: client.familyName },
      ],
      edit: ({ givenName = '', familyName = '' }) => ({ givenName, familyName }),
    },
    ...client.contactPoints.map(pointFact),
    {
      key: 'organisation',
      label: 'Organisation',
      shown: client.organisation,
      fields: [{ key: 'organisation', label: 'Organisation', value: client.organisation }],
      edit: ({ organisation = '' }) => ({ organisation }),
    },
    {
      key: 'address',
      label: 'Address',
      shown: [client.address, ...client.otherAddresses.map((address) => `also ${address}`)].filter(Boolean).join('\n'),
      fields: [
        { key: 'address', label: 'Address', value: client.address },
        { key: 'otherAddresses', label: 'Others, one a line', value: client.otherAddresses.join('\n'), kind: 'long' },
      ],
      edit: ({ address = '', otherAddresses = '' }) => ({ address, otherAddresses: lines(otherAddresses) }),
    },
    {
      key: 'owner',
      label: 'Looked after',
      shown: client.owner ? `by ${client.owner}` : '',
      fields: [
        {
          key: 'owner',
          label: 'Looked after by',
          value: client.ownerId ?? '',
          options: [
            { value: '', label: 'nobody in particular' },
            ...(client.ownerId && !staff.some((one) => one.value === client.ownerId)
              ? [{ value: client.ownerId, label: client.owner ?? '' }]
              : []),
            ...staff,
          ],
        },
      ],
      edit: ({ owner = '' }) => ({ owner }),
    },
    {
      key: 'tags',
      label: 'Tags',
      shown: client.tags.join(', '),
      fields: [{ key: 'tags', label: 'Tags, parted by commas', value: client.tags.join(', ') }],
      edit: ({ tags = '' }) => ({ tags: tags.split(',') }),
    },
    {
      key: 'notes',
      label: 'Notes',
      shown: client.notes,
      fields: [{ key: 'notes', label: 'Notes', value: client.notes, kind: 'long' }],
      edit: ({ notes = '' }) => ({ notes }),
    },
  ];
}

/** What is on file about a client, edited where it stands. */
export function Facts({ client }: { client: Client }) {
  const { user } = useSignedIn();
  const canEdit = user.may.includes('clients.edit') && client.mergedInto === null;
  const [open, setOpen] = useState<string | null>(null);
  const staff = useOffers(open === 'owner').data?.staff ?? [];
  const edit = useEditClient(client.id);
  return (
    <>
      <FactList
        name={`client.${client.id}`}
        title="Facts"
        facts={factsOf(client, staff)}
        adding={(['email', 'phone'] as const).map(newPoint)}
        canEdit={canEdit}
        onTurn={setOpen}
        saving={edit}
        save={(part) => edit.mutateAsync({ version: client.version, ...part })}
      >
        {client.contacts.map((contact) => (
          <div key={contact.id}>
            <dt>{contact.role || 'Contact'}</dt>
            <dd>{[contact.name, contact.phone, contact.email].filter(Boolean).join(', ')}</dd>
          </div>
        ))}
        {client.links.map((link) => (
          <div key={link.id}>
            <dt>Knows</dt>
            <dd>
              {link.words} <RecordLink record={link.client} />
            </dd>
          </div>
        ))}
        <CustomFacts values={client.custom} />
      </FactList>
      <ReachLinks client={client} />
    </>
  );
}

/** Writing and ringing at once: what is pressed above is edited. */
function ReachLinks({ client }: { client: Client }) {
  const [email] = client.contactPoints.filter((point) => point.kind === 'email');
  const [phone] = client.contactPoints.filter((point) => point.kind === 'phone');
  if (!email && !phone) return null;
  return (
    <p className="second reach">
      {email && <a href={`mailto:${encodeURIComponent(email.value).replaceAll('%40', '@')}`}>Write</a>}
      {phone && <a href={`tel:${phone.value}`}>Ring</a>}
    </p>
  );
}
