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
import { ListChoices } from '../shell/ListChoices';
import { Narrow } from '../shell/Narrow';
import { Pillars } from '../shell/Pillars';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useHiddenColumns } from '../shell/useHiddenColumns';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import './client.css';
import { narrowedBy, useClients, useTags } from './queries';
import { SeveralPanel } from './SeveralPanel';
import { useFollowing } from '../shell/following';
import { firstName } from '../../shared/firstName';

type Row = Schema<'ClientRow'>;

const name: Column<Row> = {
  name: 'Name',
  sort: 'name',
  cell: (row) => (
    <>
      <Link to={`/clients/${row.id}`}>{row.name}</Link> {row.archived && <Mark kind="stopped">archived</Mark>}
    </>
  ),
};

/** Those that may be left out, and are known by their names. */
const columns: Column<Row>[] = [
  { name: 'Organisation', wide: true, cell: (row) => row.organisation },
  { name: 'Email', wide: true, cell: (row) => row.email ?? <span className="second">none</span> },
  { name: 'Phone', wide: true, cell: (row) => <span className="figures">{row.phone ?? ''}</span> },
  { name: 'Town', cell: (row) => row.locality },
  { name: 'Tags', wide: true, cell: (row) => <span className="second">{row.tags.join(', ')}</span> },
  { name: 'Looked after', wide: true, cell: (row) => firstName(row.owner ?? '') },
  {
    name: 'Last contact',
    sort: 'contact',
    falling: true,
    wide: true,
    right: true,
    cell: (row) => (row.lastContact ? moment(row.lastContact).toFormat('d LLL yyyy') : ''),
  },
  {
    name: 'Client since',
    sort: 'since',
    falling: true,
    wide: true,
    right: true,
    cell: (row) => moment(row.since).toFormat('LLL yyyy'),
  },
  { name: 'Projects', right: true, cell: (row) => row.projects || '' },
];

const usuallyHidden = ['Organisation', 'Client since'];

const contacts = [
  { value: 'last-30-days', label: 'in the last 30 days' },
  { value: 'last-90-days', label: 'in the last 90 days' },
  { value: 'over-90-days', label: 'over 90 days ago' },
  { value: 'over-a-year', label: 'over a year ago' },
  { value: 'never', label: 'never' },
] as const;

const sorts: Record<string, string> = {
  name: 'by name',
  '-name': 'by name, Z to A',
  since: 'the oldest first',
  '-since': 'the newest first',
  contact: 'longest not in touch first',
  '-contact': 'last in touch first',
};

const views = [
  { state: 'current', label: 'Current' },
  { state: 'open-work', label: 'Open work' },
  { state: 'archived', label: 'Archived' },
  { state: 'all', label: 'All' },
] as const;

export function ClientsScreen() {
  const [search, setSearch] = useSearchParams();
  useFollowing(['clients', 'list']);
  const { user } = useSignedIn();
  const many = user.may.includes('clients.edit');
  const [chosen, setChosen] = useState<string[]>([]);
  const by = narrowedBy(search);
  const sort = by.sort ?? 'name';
  const narrow = (part: Record<string, string>) => {
    setSearch(
      (now) => {
        const next = new URLSearchParams(now);
        for (const [key, value] of Object.entries(part)) {
          if (value) next.set(key, value);
          else next.delete(key);
        }
        return next;
      },
      { replace: true },
    );
  };
  const [typed, setTyped] = useTyped(search.get('q') ?? '', (text) => narrow({ q: text }));
  const [place, setPlace] = useTyped(search.get('place') ?? '', (text) => narrow({ place: text }));
  const list = useClients(by);
  const tags = useTags().data ?? [];
  const offers = useOffers(many).data;
  const staff = offers?.staff ?? [];
  const seesAll = user.may.includes('records.see-all');
  // Open where something of it is chosen when one comes; after that as it was left, whatever is typed.
  const [further, setFurther] = useState(() => Boolean(by.service ?? by.place ?? by.contact));
  const [hidden, setHidden] = useHiddenColumns('clients', usuallyHidden);
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const { total = 0, counted = 0 } = list.data?.pages[0] ?? {};
  const narrowed = Object.keys(by).some((key) => key !== 'sort');
  const shown = [name, ...columns.filter((column) => !hidden.includes(column.name))];
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
                <small>{sorts[sort]}</small>
              </div>
              <Views
                label="Which clients"
                views={views}
                state={by.state ?? 'current'}
                onState={(state) => narrow({ state: state === 'current' ? '' : state })}
              />
              <p className="filter acts-in-line">
                <Allowed to="clients.edit">
                  <Link to="/clients/new">New client</Link>
                </Allowed>
                <Allowed to="clients.import">
                  <Link to="/clients/import">From a file</Link>
                </Allowed>
                <Allowed to="clients.merge">
                  <Link to="/clients/duplicates">Duplicates</Link>
                </Allowed>
              </p>
              <div className="filter">
                <StaffField
                  label="Name, email or phone"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
                {tags.length > 0 && (
                  <Narrow label="Tag" value={by.tag ?? ''} any="any" onChoose={(tag) => narrow({ tag })}>
                    {tags.map((tag) => ({ value: tag, label: tag }))}
                  </Narrow>
                )}
                {many && (
                  <Narrow
                    label="Looked after by"
                    value={by.owner ?? ''}
                    any="anybody"
                    onChoose={(owner) => narrow({ owner })}
                  >
                    {staff}
                  </Narrow>
                )}
                <details
                  className="columns-choice"
                  open={further}
                  onToggle={(event) => setFurther(event.currentTarget.open)}
                >
                  <summary>Service, place, last contact</summary>
                  {many && (
                    <Narrow
                      label="Service"
                      value={by.service ?? ''}
                      any="any"
                      onChoose={(service) => narrow({ service })}
                    >
                      {offers?.services ?? []}
                    </Narrow>
                  )}
                  <StaffField
                    label="Place"
                    type="search"
                    value={place}
                    maxLength={100}
                    onChange={(event) => setPlace(event.target.value)}
                  />
                  <Narrow
                    label="Last contact"
                    value={by.contact ?? ''}
                    any="any time"
                    onChoose={(contact) => narrow({ contact })}
                  >
                    {contacts}
                  </Narrow>
                </details>
                <p className="line-top">
                  <span className="second" role="status">
                    {list.isSuccess
                      ? `${total > counted ? `More than ${count(counted, 'client')}` : count(total, 'client')} ${narrowed ? 'found' : 'on file'}`
                      : ''}
                  </span>
                  {narrowed && (
                    <button
                      type="button"
                      className="link-button"
                      onClick={() => setSearch(by.sort ? { sort: by.sort } : {}, { replace: true })}
                    >
                      Clear
                    </button>
                  )}
                </p>
                {seesAll && <SeveralPanel chosen={chosen} by={by} total={total} onClear={() => setChosen([])} />}
                <ListChoices
                  list="clients"
                  saves={seesAll}
                  columns={columns.map((column) => column.name)}
                  hidden={hidden}
                  onHide={setHidden}
                />
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
              columns={many ? [choose, ...shown] : shown}
              id={(row) => row.id}
              path={(row) => `/clients/${row.id}`}
              sorted={sort}
              onSort={(next) => narrow({ sort: next === 'name' ? '' : next })}
              empty={{
                fact: narrowed ? 'Nobody fits.' : 'No clients yet.',
                next: narrowed
                  ? 'Try fewer letters, or clear the filters.'
                  : 'A client comes on file when you accept the first plan, or when you write one down.',
              }}
            />
          ),
        },
      ]}
    />
  );
}
