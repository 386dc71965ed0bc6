import { Link, useSearchParams } from 'react-router';
import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useOffers } from '../people/queries';
import { useToday } from '../shell/day';
import { ListChoices } from '../shell/ListChoices';
import { Narrow } from '../shell/Narrow';
import { Pillars } from '../shell/Pillars';
import { ListBody } from '../shell/ListBody';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useHiddenColumns } from '../shell/useHiddenColumns';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import { useSignedIn } from '../session';
import { Bricks } from '../shell/Bricks';
import './projects.css';
import { PartsOfProjects } from './PartsOfProjects';
import { narrowedBy, useProjects } from './queries';
import { useFollowing } from '../shell/following';

type Row = Schema<'ProjectRow'>;

const title: Column<Row> = {
  name: 'Project',
  sort: 'title',
  cell: (row) => <Link to={`/projects/${row.id}`}>{row.title}</Link>,
};

/** Those that may be left out, and are known by their names. */
function columns(today: string, services: Schema<'Offer'>[]): Column<Row>[] {
  return [
    {
      name: 'Client',
      sort: 'client',
      cell: (row) => <Link to={`/clients/${row.client.id}`}>{row.client.label}</Link>,
    },
    {
      name: 'Service',
      wide: true,
      cell: (row) => services.find(({ value }) => value === row.service)?.label ?? '',
    },
    { name: 'Stage', sort: 'stage', wide: true, cell: (row) => row.stage },
    { name: 'Tasks', wide: true, cell: (row) => <Bricks done={row.tasksDone} all={row.tasks} /> },
    { name: 'Led by', sort: 'lead', wide: true, cell: (row) => row.lead },
    { name: 'Budget', wide: true, cell: (row) => row.budget },
    { name: 'Comes from', wide: true, cell: (row) => row.source },
    { name: 'Tags', wide: true, cell: (row) => <span className="second">{row.tags.join(', ')}</span> },
    {
      name: 'Ready by',
      sort: 'ready',
      wide: true,
      right: true,
      cell: (row) => (row.readyBy ? shortDay(row.readyBy, today) : ''),
    },
    {
      name: 'Opened',
      sort: 'opened',
      falling: true,
      wide: true,
      right: true,
      cell: (row) => shortDay(row.openedOn, today),
    },
  ];
}

const usuallyHidden = ['Service', 'Budget', 'Comes from', 'Tags'];

const sorts: Record<string, string> = {
  '-opened': 'newest first',
  opened: 'oldest first',
  ready: 'soonest ready first',
  '-ready': 'latest ready first',
  title: 'by title',
  client: 'by client',
  stage: 'by stage',
  lead: 'by lead',
};

const views = [
  { state: 'open', label: 'Open' },
  { state: 'won', label: 'Won' },
  { state: 'lost', label: 'Lost' },
  { state: 'all', label: 'All' },
] as const;

export function ProjectsScreen() {
  const [search, setSearch] = useSearchParams();
  useFollowing(['projects', 'list']);
  const today = useToday();
  const by = narrowedBy(search);
  const stage = by.stage ?? '';
  const sort = by.sort ?? '-opened';
  const { user } = useSignedIn();
  const seesAll = user.may.includes('records.see-all');
  const offers = useOffers(seesAll).data;
  const list = useProjects(by);
  const [hidden, setHidden] = useHiddenColumns('projects', usuallyHidden);
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const stages = list.data?.pages[0]?.stages ?? [];
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
  const all = columns(today, offers?.services ?? []);
  const narrowed = Boolean(by.q ?? by.stage ?? by.lead ?? by.service);
  return (
    <Pillars
      title="Projects"
      pillars={[
        {
          name: 'Search',
          width: '236px',
          content: (
            <>
              <PartsOfProjects />
              <div className="pillar-head">
                <h1>Projects</h1>
                <small>{sorts[sort] ?? `${sorts[sort.slice(1)] ?? ''}, Z to A`}</small>
              </div>
              <Views
                label="Which projects"
                views={views}
                state={by.outcome ?? 'all'}
                onState={(next) => narrow({ outcome: next === 'open' ? '' : next })}
              />
              {user.may.includes('projects.lead-any') && (
                <p>
                  <Link to="/projects/new">New project</Link>
                </p>
              )}
              <div className="filter">
                <StaffField
                  label="Project, number or client"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
                {seesAll && (
                  <>
                    <Narrow label="Led by" value={by.lead ?? ''} any="anybody" onChoose={(lead) => narrow({ lead })}>
                      {offers?.staff ?? []}
                    </Narrow>
                    <Narrow
                      label="Service"
                      value={by.service ?? ''}
                      any="any"
                      onChoose={(service) => narrow({ service })}
                    >
                      {offers?.services ?? []}
                    </Narrow>
                  </>
                )}
              </div>
              <h2 className="group-label">Stage</h2>
              <ul className="stage-list">
                {[{ name: '', projects: stages.reduce((sum, one) => sum + one.projects, 0) }, ...stages].map((one) => (
                  <li key={one.name}>
                    <button type="button" aria-pressed={one.name === stage} onClick={() => narrow({ stage: one.name })}>
                      <span>{one.name || 'All stages'}</span>
                      <span className="figures">{one.projects}</span>
                    </button>
                  </li>
                ))}
              </ul>
              <div className="filter">
                <ListChoices
                  list="projects"
                  saves={seesAll}
                  columns={all.map((column) => column.name)}
                  hidden={hidden}
                  onHide={setHidden}
                />
                {seesAll && rows.length > 0 && (
                  <p className="second">
                    As a file: <a href={`/api/projects/export?${new URLSearchParams({ ...by }).toString()}`}>CSV</a>
                  </p>
                )}
              </div>
            </>
          ),
        },
        {
          name: 'Projects',
          width: '1fr',
          content: (
            <ListBody
              label="Projects"
              list={list}
              rows={rows}
              columns={[
                { name: 'Number', cell: (row) => <span className="figures">{row.number}</span> },
                title,
                ...all.filter((column) => !hidden.includes(column.name)),
              ]}
              sorted={sort}
              onSort={(next) => narrow({ sort: next === '-opened' ? '' : next })}
              id={(row) => row.id}
              path={(row) => `/projects/${row.id}`}
              empty={{
                fact: narrowed ? 'No project fits.' : 'No projects yet.',
                next: narrowed
                  ? 'Try fewer letters, all stages, or those that are closed.'
                  : 'The first opens when you accept the first plan.',
              }}
            />
          ),
        },
      ]}
    />
  );
}
