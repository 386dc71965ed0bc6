import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { customFacts } from '../shell/CustomFacts';
import { AddLink } from './AddLink';
import { languageName, languages } from './languages';
import { FactList, type Fact } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { RecordLink } from '../shell/RecordLink';
import { useEditClient, type ClientEdit } from './queries';

type Client = Schema<'Client'>;
type Point = Client['contactPoints'][number];

type ClientFact = Fact<ClientEdit>;

const lines = (text: string) => text.split('\n').filter((line) => line.trim() !== '');
const purposes = ['first choice', 'texts are fine', 'no texts', 'work', 'invoices', 'evenings only'];
const reach = { email: 'Email', phone: 'Phone' } as const;

function pointFact(point: Point): ClientFact {
  const kind = point.kind === 'email' ? 'email' : 'tel';
  return {
    key: point.id,
    label: reach[point.kind],
    shown: [point.text, point.purpose, point.confirmed ? '' : 'Not confirmed: save it to confirm it, or let them']
      .filter(Boolean)
      .join('\n'),
    fields: [
      { key: 'value', label: reach[point.kind], value: point.text, kind },
      { key: 'purpose', label: 'What it is for', value: point.purpose, suggestions: purposes },
    ],
    edit: ({ value = '', purpose = '' }) => ({
      contactPoints: [{ id: point.id, was: point.value, kind: point.kind, value, purpose }],
    }),
    remove: { contactPoints: [{ id: point.id, was: point.value, kind: point.kind, value: '', remove: true }] },
  };
}

/** Somebody at an organisation, or whoever else is to be reached. */
function contactFact(contact?: Client['contacts'][number]): ClientFact {
  const at = contact ? { id: contact.id } : {};
  return {
    key: contact?.id ?? 'new-contact',
    label: contact ? contact.role || 'Contact' : 'Contact',
    shown: contact ? [contact.name, contact.phone, contact.email].filter(Boolean).join(', ') : '',
    fields: [
      { key: 'name', label: 'Name', value: contact?.name ?? '' },
      {
        key: 'role',
        label: 'Who they are',
        value: contact?.role ?? '',
        suggestions: ['caretaker', 'accounts', 'partner', 'parent'],
      },
      { key: 'phone', label: 'Phone', value: contact?.phone ?? '', kind: 'tel' },
      { key: 'email', label: 'Email', value: contact?.email ?? '', kind: 'email' },
    ],
    edit: ({ name = '', role = '', phone = '', email = '' }) => ({ contacts: [{ ...at, name, role, phone, email }] }),
    ...(contact ? { remove: { contacts: [{ id: contact.id, remove: true }] } } : {}),
  };
}

/** A mail address or a number that is not there yet. */
function newPoint(kind: Point['kind']): ClientFact {
  return {
    key: `new-${kind}`,
    label: reach[kind],
    shown: '',
    fields: [
      { key: 'value', label: `Another ${kind}`, value: '', kind: kind === 'email' ? 'email' : 'tel' },
      { key: 'purpose', label: 'What it is for', value: '', suggestions: purposes },
    ],
    edit: ({ value = '', purpose = '' }) => ({ contactPoints: [{ id: null, kind, value, purpose }] }),
  };
}

function factsOf(client: Client, staff: Schema<'Offer'>[], today: string): ClientFact[] {
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
    ...client.contacts.map((contact) => contactFact(contact)),
    {
      key: 'language',
      label: 'Reads',
      shown: languageName(client.language),
      fields: [
        {
          key: 'language',
          label: 'Language',
          value: client.language,
          options: [
            { value: '', label: 'not asked' },
            ...languages.map((one) => ({ value: one, label: languageName(one) })),
          ],
        },
      ],
      edit: ({ language = '' }) => ({ language }),
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
    ...customFacts(client.custom, today),
  ];
}

/** What is on file about a client, edited where it stands. */
export function Facts({ client }: { client: Client }) {
  const { user } = useSignedIn();
  const today = useToday();
  const canEdit = user.may.includes('clients.edit') && client.mergedInto === null;
  const [open, setOpen] = useState<string | null>(null);
  const staff = useOffers(open === 'owner').data?.staff ?? [];
  const edit = useEditClient(client.id);
  return (
    <>
      <FactList
        name={`client.${client.id}`}
        title="Facts"
        facts={factsOf(client, staff, today)}
        adding={[...(['email', 'phone'] as const).map(newPoint), contactFact()]}
        canEdit={canEdit}
        onTurn={setOpen}
        saving={edit}
        save={(part) => edit.mutateAsync({ version: client.version, ...part })}
      >
        {client.links.map((link) => (
          <div key={link.id}>
            <dt>Knows</dt>
            <dd>
              {link.words} <RecordLink record={link.client} />{' '}
              {canEdit && (
                <button
                  type="button"
                  className="link-button"
                  aria-label={`Remove: ${link.words} ${link.client.label}`}
                  disabled={edit.isPending}
                  onClick={() => edit.mutate({ version: client.version, links: [{ id: link.id, remove: true }] })}
                >
                  Remove
                </button>
              )}
            </dd>
          </div>
        ))}
      </FactList>
      {user.may.includes('messages.write') &&
        client.mergedInto === null &&
        client.contactPoints
          .filter((point) => !point.confirmed && point.kind === 'email')
          .map((point) => <AskThem key={point.id} point={point} />)}
      {canEdit && <AddLink client={client} />}
      <ReachLinks client={client} />
    </>
  );
}

/** An address that came from outside: its reader can say by a link that it is theirs. */
function AskThem({ point }: { point: Point }) {
  const toast = useToast();
  const ask = useMutation({
    mutationFn: () => need(api.POST('/api/contact-points/{id}/ask', { params: { path: { id: point.id } } })),
    onSuccess: () => toast({ words: `A link to confirm it is on its way to ${point.text}.` }),
    onError: (error) =>
      toast({ words: error instanceof ProblemError ? (error.violations[0]?.message ?? error.message) : error.message }),
  });
  return (
    <p className="second">
      <button type="button" className="link-button" disabled={ask.isPending} onClick={() => ask.mutate()}>
        Ask {point.text} to confirm itself by a link
      </button>
    </p>
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
