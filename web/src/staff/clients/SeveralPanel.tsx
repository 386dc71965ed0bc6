import Button from '@mui/material/Button';
import { useState } from 'react';
import { count } from '../../shared/numbers';
import { useOffers } from '../people/queries';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useSeveral, type Narrowed } from './queries';

interface Props {
  chosen: string[];
  by: Narrowed;
  total: number;
  onClear: () => void;
}

/** A file is by name, whichever way the list is sorted. */
function unsorted(by: Narrowed): Record<string, string> {
  return Object.fromEntries(Object.entries(by).filter(([key]) => key !== 'sort'));
}

/** What can be done with those that are chosen, or taken out of all that the list shows. */
export function SeveralPanel({ chosen, by, total, onClear }: Props) {
  const several = useSeveral();
  const toast = useToast();
  const offers = useOffers(chosen.length > 0).data;
  const [tag, setTag] = useState('');
  const act = (what: { tag?: string; owner?: string }, words: string) => {
    if (several.isPending) return;
    several.mutate(
      { ids: chosen, ...what },
      {
        onSuccess: () => {
          toast({ words: `${words}. U takes it back.` });
          setTag('');
          onClear();
        },
        onError: (error) => toast({ words: error.message }),
      },
    );
  };
  const file = (format: 'csv' | 'vcard') =>
    `/api/clients/export?${new URLSearchParams({ ...unsorted(by), ...(chosen.length ? { ids: chosen.join(','), state: 'all' } : {}), format }).toString()}`;
  return (
    <>
      {chosen.length > 0 && (
        <section className="several" aria-label="Chosen clients">
          <p className="line-top">
            <b>{count(chosen.length, 'client')} chosen</b>
            <button type="button" className="link-button" onClick={onClear}>
              Clear
            </button>
          </p>
          <form
            onSubmit={(event) => {
              event.preventDefault();
              if (tag.trim()) act({ tag }, `${count(chosen.length, 'client')} tagged ${tag.trim()}`);
            }}
          >
            <StaffField label="Tag them" value={tag} maxLength={60} onChange={(event) => setTag(event.target.value)} />
            <Button type="submit" size="small" variant="outlined" disabled={several.isPending || tag.trim() === ''}>
              Tag
            </Button>
          </form>
          <div className="staff-field">
            <label htmlFor="several-owner">Give them to</label>
            <select
              id="several-owner"
              value=""
              onChange={(event) => act({ owner: event.target.value }, `${count(chosen.length, 'client')} given over`)}
            >
              <option value="">…</option>
              {(offers?.staff ?? []).map((one) => (
                <option key={one.value} value={one.value}>
                  {one.label}
                </option>
              ))}
            </select>
          </div>
        </section>
      )}
      {total > 0 && (
        <p className="second">
          As a file: <a href={file('csv')}>CSV</a> <a href={file('vcard')}>vCard</a>
        </p>
      )}
    </>
  );
}
