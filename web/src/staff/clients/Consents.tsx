import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { FactList, type Fact } from '../shell/FactList';
import { useEditClient, type ClientEdit } from './queries';

type Consent = Schema<'Client'>['consents'][number];

const answers = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
];

function fact(today: string, consent?: Consent): Fact<ClientEdit> {
  return {
    key: consent?.id ?? 'new-consent',
    label: consent?.what ?? 'Consent',
    shown: consent
      ? `${consent.given ? 'yes' : 'no'}, ${shortDay(consent.day, today)}${consent.way ? `, ${consent.way}` : ''}\n“${consent.wording}”`
      : '',
    saveWord: consent ? 'Save the new answer' : 'Add',
    fields: [
      ...(consent
        ? []
        : [{ key: 'what', label: 'What it is about', value: '', suggestions: ['News by mail', 'Show photographs'] }]),
      { key: 'wording', label: 'The words that they were asked in', value: consent?.wording ?? '', kind: 'long' },
      { key: 'given', label: 'They said', value: consent?.given === false ? 'no' : 'yes', options: answers },
      { key: 'way', label: 'How', value: '', suggestions: ['by phone', 'at the desk', 'by mail', 'on paper'] },
      { key: 'day', label: 'Day', value: '', kind: 'date', hint: 'Today where it is empty.' },
    ],
    edit: ({ what = consent?.what ?? '', wording = '', given = '', way = '', day = '' }) => ({
      consents: [{ what, wording, given: given === 'yes', way, day }],
    }),
    ...(consent ? { remove: { consents: [{ id: consent.id, remove: true }] } } : {}),
  };
}

/** What a client allowed: the latest answer to each question; asked again, the one before stays in the journal. */
export function Consents({ client }: { client: Schema<'Client'> }) {
  const { user } = useSignedIn();
  const today = useToday();
  const edit = useEditClient(client.id);
  const latest = [...new Map(client.consents.map((consent) => [consent.what, consent])).values()];
  return (
    <FactList
      name={`client.${client.id}.consents`}
      title="May we?"
      canEdit={user.may.includes('clients.edit') && client.mergedInto === null}
      facts={latest.map((consent) => fact(today, consent))}
      adding={[fact(today)]}
      saving={edit}
      save={(part) => edit.mutateAsync({ version: client.version, ...part })}
    />
  );
}
