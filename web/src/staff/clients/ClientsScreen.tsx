import { Link, useSearchParams } from 'react-router';
import type { Schema } from '../../shared/api';
import { count } from '../../shared/numbers';
import { moment } from '../../shared/words';
import { Pillars } from '../shell/Pillars';
import { Allowed } from '../shell/Allowed';
import { ListBody } from '../shell/ListBody';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useTyped } from '../shell/useTyped';
import { useClients } from './queries';

type Row = Schema<'ClientRow'>;

const columns: Column<Row>[] = [
  { name: 'Name', cell: (row) => <Link to={`/clients/${row.id}`}>{row.name}</Link> },
  { name: 'Email', wide: true, cell: (row) => row.email ?? <span className="second">none</span> },
  { name: 'Phone', wide: true, cell: (row) => <span className="figures">{row.phone ?? ''}</span> },
  { name: 'Town', cell: (row) => row.locality },
  { name: 'Client since', wide: true, right: true, cell: (row) => moment(row.since).toFormat('LLLL yyyy') },
  { name: 'Projects', right: true, cell: (row) => row.projects || '' },
];

export function ClientsScreen() {
  const [search, setSearch] = useSearchParams();
  const q = search.get('q') ?? '';
  const [typed, setTyped] = useTyped(q, (text) => setSearch(text ? { q: text } : {}, { replace: true }));
  const list = useClients(q.trim());
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const total = list.data?.pages[0]?.total ?? 0;
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
                <small>by name</small>
              </div>
              <div className="filter">
                <StaffField
                  label="Name, email or phone"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
                <p className="second" role="status">
                  {list.isSuccess ? (q ? `${count(total, 'client')} found` : `${count(total, 'client')} on file`) : ''}
                </p>
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
              columns={columns}
              id={(row) => row.id}
              path={(row) => `/clients/${row.id}`}
              empty={{
                fact: q ? 'Nobody by that name.' : 'No clients yet.',
                next: q
                  ? 'Try fewer letters, or a part of the address.'
                  : 'A client comes on file when you accept the first plan, or when you write one down.',
              }}
            />
          ),
        },
      ]}
    />
  );
}
