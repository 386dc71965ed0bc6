import type { Schema } from '../../shared/api';
import { Drawing } from '../../shared/Drawing';
import { useSignedIn } from '../session';
import { customFacts } from '../shell/CustomFacts';
import { useToday } from '../shell/day';
import { FactList, type Fact } from '../shell/FactList';
import { useEditClient, type ClientEdit } from './queries';

type Asset = Schema<'Client'>['assets'][number];

function fact(word: string, today: string, asset?: Asset): Fact<ClientEdit> {
  const own = customFacts(asset?.custom ?? [], today);
  return {
    key: asset?.id ?? 'new-asset',
    label: word,
    shown: asset ? [asset.description, asset.place && `at ${asset.place}`].filter(Boolean).join('\n') : '',
    saveWord: asset ? 'Save' : 'Add',
    fields: [
      { key: 'description', label: 'What it is', value: asset?.description ?? '' },
      { key: 'place', label: 'Where it stands', value: asset?.place ?? '' },
      { key: 'make', label: 'Make', value: asset?.make ?? '' },
      { key: 'model', label: 'Model', value: asset?.model ?? '' },
      { key: 'serialNumber', label: 'Number on it', value: asset?.serialNumber ?? '' },
      { key: 'notes', label: 'Notes', value: asset?.notes ?? '', kind: 'long' },
      ...own.flatMap((one) => one.fields.map((field) => ({ ...field, key: `custom.${field.key}` }))),
    ],
    edit: (values) => {
      const custom = Object.fromEntries(
        Object.entries(values)
          .filter(([key]) => key.startsWith('custom.'))
          .map(([key, value]) => [key.slice(7), value]),
      );
      const { description = '', place = '', make = '', model = '', serialNumber = '', notes = '' } = values;
      return {
        assets: [
          {
            ...(asset ? { id: asset.id } : {}),
            description,
            place,
            make,
            model,
            serialNumber,
            notes,
            ...(own.length > 0 ? { custom } : {}),
          },
        ],
      };
    },
    ...(asset ? { remove: { assets: [{ id: asset.id, remove: true }] } } : {}),
  };
}

/** What the client has that the business works on. */
export function Assets({ client }: { client: Schema<'Client'> }) {
  const { user, business } = useSignedIn();
  const today = useToday();
  const edit = useEditClient(client.id);
  const word = `${business.assetWord.charAt(0).toUpperCase()}${business.assetWord.slice(1)}`;
  return (
    <>
      <FactList
        name={`client.${client.id}.assets`}
        title={`${word}s`}
        canEdit={user.may.includes('clients.edit') && client.mergedInto === null}
        facts={client.assets.map((asset) => fact(word, today, asset))}
        adding={[fact(word, today)]}
        beside={client.assets.length > 0 && <Drawing name={business.drawing} width={32} />}
        saving={edit}
        save={(part) => edit.mutateAsync({ version: client.version, ...part })}
      />
      {client.assets.length === 0 && <p className="nothing second">None on file.</p>}
    </>
  );
}
