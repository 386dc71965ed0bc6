import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import '../shell/staff-field.css';
import './client-finder.css';

interface Props {
  label: string;
  onChoose: (client: { id: string; label: string }) => void;
  onClose?: () => void;
  autoFocus?: boolean;
}

/** Finds a client on file while somebody types: arrows and Enter choose, the list stands in the flow. */
export function ClientFinder({ label, onChoose, onClose, autoFocus = false }: Props) {
  const [q, setQ] = useState('');
  const [at, setAt] = useState(0);
  const wanted = useDeferredValue(q.trim());
  const found = useQuery({
    queryKey: queryKeys.chooseClient(wanted),
    enabled: wanted.length > 1,
    placeholderData: keepPreviousData,
    queryFn: () => need(api.GET('/api/clients', { params: { query: { q: wanted } } })),
    select: (page) => page.items.slice(0, 8),
  });
  const rows = wanted.length > 1 ? (found.data ?? []) : [];
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setAt((now) => Math.min(Math.max(0, now + (event.key === 'ArrowDown' ? 1 : -1)), Math.max(0, rows.length - 1)));
    }
    const row = rows[at];
    if (event.key === 'Enter') {
      event.preventDefault();
      if (row) onChoose({ id: row.id, label: row.name });
    }
    if (event.key === 'Escape') {
      event.stopPropagation();
      if (q) setQ('');
      else onClose?.();
    }
  };
  return (
    <div className="staff-field client-finder">
      <label htmlFor="client-finder">{label}</label>
      <input
        id="client-finder"
        type="search"
        role="combobox"
        aria-expanded={rows.length > 0}
        aria-controls="client-finder-found"
        aria-activedescendant={rows[at] ? `found-${rows[at].id}` : undefined}
        aria-autocomplete="list"
        autoComplete="off"
        autoFocus={autoFocus}
        placeholder="name, mail, phone"
        value={q}
        onChange={(event) => {
          setQ(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKey}
      />
      <ul id="client-finder-found" role="listbox" aria-label="Found">
        {rows.map((row, i) => (
          <li
            key={row.id}
            id={`found-${row.id}`}
            role="option"
            aria-selected={i === at}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => onChoose({ id: row.id, label: row.name })}
          >
            <b>{row.name}</b>
            <span className="second">{[row.phone, row.email].filter(Boolean).join(', ')}</span>
          </li>
        ))}
      </ul>
      {wanted.length > 1 && found.isSuccess && rows.length === 0 && <p className="second">Nobody like that on file.</p>}
      {found.isError && <p className="staff-field-error">{found.error.message}</p>}
    </div>
  );
}
