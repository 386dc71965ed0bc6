import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { ClientFinder } from '../people/ClientFinder';
import { useToast } from '../shell/Toast';
import { useEditClient } from './queries';

type Kind = 'household' | 'pays-for' | 'works-at';

const kinds: { value: Kind; label: string }[] = [
  { value: 'household', label: 'same household as' },
  { value: 'pays-for', label: 'pays for' },
  { value: 'works-at', label: 'works at' },
];

/** Whom a client has to do with. */
export function AddLink({ client }: { client: Schema<'Client'> }) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<Kind>('household');
  const edit = useEditClient(client.id);
  const toast = useToast();
  if (!open)
    return (
      <p>
        <button type="button" className="link-button" onClick={() => setOpen(true)}>
          Add link to another client
        </button>
      </p>
    );
  return (
    <div className="add-link">
      <div className="staff-field">
        <label htmlFor="link-kind">{client.name}</label>
        <select id="link-kind" value={kind} onChange={(event) => setKind(event.target.value as Kind)}>
          {kinds.map((one) => (
            <option key={one.value} value={one.value}>
              {one.label}
            </option>
          ))}
        </select>
      </div>
      <ClientFinder
        label="Another client"
        autoFocus
        onClose={() => setOpen(false)}
        onChoose={(other) =>
          edit.mutate(
            { version: client.version, links: [{ kind, other: other.id }] },
            {
              onSuccess: () => {
                setOpen(false);
                toast({ words: `${client.name} and ${other.label} are linked. U takes it back.` });
              },
              onError: (error) => toast({ words: error.message }),
            },
          )
        }
      />
      <p>
        <button type="button" className="link-button" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </p>
    </div>
  );
}
