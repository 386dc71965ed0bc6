import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { count } from '../../shared/numbers';
import { moment } from '../../shared/words';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { Allowed } from '../shell/Allowed';
import { ListBody } from '../shell/ListBody';
import { Pillars } from '../shell/Pillars';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import './client.css';
import { useClients, useTags, type Narrowed } from './queries';
import { SeveralPanel } from './SeveralPanel';

type Row = Schema<'ClientRow'>;

const columns: Column<Row>[] = [
  {
    name: 'Name',
    sort: 'name',
    cell: (row) => (
      <>
        <Link to={`/clients/${row.id}`}>{row.name}</Link> {row.archived && <Mark kind="stopped">archived</Mark>}
      </>
    ),
  },
  { name: 'Email', wide: true, cell: (row) => row.email ?? <span className="second">none</span> },
  { name: 'Phone', wide: true, cell: (row) => <span className="figures">{row.phone ?? ''}</span> },
  { name: 'Town', cell: (row) => row.locality },
  { name: 'Tags', wide: true, cell: (row) => <span className="second">{row.tags.join(', ')}</span> },
  { name: 'Looked after', wide: true, cell: (row) => row.owner?.split(' ')[0] ?? '' },
  {
    name: 'Client since',
    sort: 'newest',
    wide: true,
    right: true,
    cell: (row) => moment(row.since).toFormat('LLL yyyy'),
  },
  { name: 'Projects', right: true, cell: (row) => row.projects || '' },
];

const views = [
  { state: 'current', label: 'Current' },
  { state: 'open-work', label: 'Open work' },
  { state: 'archived', label: 'Archived' },
  { state: 'all', label: 'All' },
] as const;

export function ClientsScreen() {
  const [search, setSearch] = useSearchParams();
  const { user } = useSignedIn();
  const many = user.may.includes('clients.edit');
  const [chosen, setChosen] = useState<string[]>([]);
  const by: Narrowed = {
    q: (search.get('q') ?? '').trim(),
    state: views.find(({ state }) => state === search.get('state'))?.state ?? 'current',
    tag: search.get('tag') ?? '',
    owner: search.get('owner') ?? '',
  };
  const sort = search.get('sort') === 'newest' ? 'newest' : 'name';
  const narrow = (part: Record<string, string>) => {
    const next = new URLSearchParams(search);
    for (const [key, value] of Object.entries(part)) {
      if (value) next.set(key, value);
      else next.delete(key);
    }
    setSearch(next, { replace: true });
  };
  const [typed, setTyped] = useTyped(search.get('q') ?? '', (text) => narrow({ q: text }));
  const list = useClients(by, sort);
  const tags = useTags().data ?? [];
  const staff = useOffers(many).data?.staff ?? [];
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const total = list.data?.pages[0]?.total ?? 0;
  const narrowed = by.q || by.tag || by.owner || by.state !== 'current';
  const choose: Column<Row> = {
    name: '',
    cell: (row) => (
      <input
        type="checkbox"
        aria-label={`Choose ${row.name}`}
        checked={chosen.includes(row.id)}
        onClick={(event) => event.stopPropagation()}
        onChange={() =>
          setChosen((now) => (now.includes(row.id) ? now.filter((one) => one !== row.id) : [...now, row.id]))
        }
      />
    ),
  };
  return (
    <Pillars
      title="Clients"
      pillars={[
        {
          name: 'Search',
          width: '236px',
          content: (
            <>
              <div className="pillar-head">
                <h1>Clients</h1>
                <small>{sort === 'newest' ? 'newest first' : 'by name'}</small>
              </div>
              <Views
                label="Which clients"
                views={views}
                state={by.state}
                onState={(state) => narrow({ state: state === 'current' ? '' : state })}
              />
              <div className="filter">
                <StaffField
                  label="Name, email or phone"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
                {tags.length > 0 && (
                  <Narrow label="Tag" value={by.tag} any="any" onChoose={(tag) => narrow({ tag })}>
                    {tags.map((tag) => ({ value: tag, label: tag }))}
                  </Narrow>
                )}
                {many && (
                  <Narrow
                    label="Looked after by"
                    value={by.owner}
                    any="anybody"
                    onChoose={(owner) => narrow({ owner })}
                  >
                    {staff}
                  </Narrow>
                )}
                <p className="second" role="status">
                  {list.isSuccess
                    ? narrowed && total > 1000
                      ? 'More than 1,000 clients found'
                      : `${count(total, 'client')} ${narrowed ? 'found' : 'on file'}`
                    : ''}
                </p>
                {user.may.includes('records.see-all') && (
                  <SeveralPanel chosen={chosen} by={by} total={total} onClear={() => setChosen([])} />
                )}
                <Allowed to="clients.edit">
                  <p>
                    <Link to="/clients/new">New client</Link>
                  </p>
                </Allowed>
                <Allowed to="clients.merge">
                  <p>
                    <Link to="/clients/duplicates">Duplicates</Link>
                  </p>
                </Allowed>
                <Allowed to="clients.import">
                  <p>
                    <Link to="/clients/import">Clients from a file</Link>
                  </p>
                </Allowed>
              </div>
            </>
          ),
        },
        {
          name: 'Clients',
          width: '1fr',
          content: (
            <ListBody
              label="Clients"
              list={list}
              rows={rows}
              columns={many ? [choose, ...columns] : columns}
              id={(row) => row.id}
              path={(row) => `/clients/${row.id}`}
              sorted={sort}
              onSort={(next) => narrow({ sort: next.replace('-', '') === 'newest' ? 'newest' : '' })}
              empty={{
                fact: narrowed ? 'Nobody fits.' : 'No clients yet.',
                next: narrowed
                  ? 'Try fewer letters, or any tag and anybody.'
                  : 'A client comes on file when you accept the first plan, or when you write one down.',
              }}
            />
          ),
        },
      ]}
    />
  );
}

interface NarrowProps {
  label: string;
  value: string;
  any: string;
  onChoose: (value: string) => void;
  children: { value: string; label: string }[];
}

function Narrow({ label, value, any, onChoose, children }: NarrowProps) {
  const id = `narrow-${label.replaceAll(' ', '-')}`;
  return (
    <div className="staff-field">
      <label htmlFor={id}>{label}</label>
      <select id={id} value={value} onChange={(event) => onChoose(event.target.value)}>
        <option value="">{any}</option>
        {children.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
      </select>
    </div>
  );
}
