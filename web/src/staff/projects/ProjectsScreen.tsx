import { Link, useSearchParams } from 'react-router';
import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { ListBody } from '../shell/ListBody';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import { useSignedIn } from '../session';
import { Bricks } from '../shell/Bricks';
import './projects.css';
import { useProjects } from './queries';

type Row = Schema<'ProjectRow'>;

function columns(today: string): Column<Row>[] {
  return [
    { name: 'Number', cell: (row) => <span className="figures">{row.number}</span> },
    { name: 'Project', cell: (row) => <Link to={`/projects/${row.id}`}>{row.title}</Link> },
    { name: 'Client', cell: (row) => <Link to={`/clients/${row.client.id}`}>{row.client.label}</Link> },
    { name: 'Stage', wide: true, cell: (row) => row.stage },
    { name: 'Tasks', wide: true, cell: (row) => <Bricks done={row.tasksDone} all={row.tasks} /> },
    { name: 'Led by', wide: true, cell: (row) => row.lead },
    { name: 'Ready by', wide: true, right: true, cell: (row) => (row.readyBy ? shortDay(row.readyBy, today) : '') },
    { name: 'Opened', wide: true, right: true, cell: (row) => shortDay(row.openedOn, today) },
  ];
}

const views = [
  { state: 'open', label: 'Open' },
  { state: 'won', label: 'Won' },
  { state: 'lost', label: 'Lost' },
  { state: 'all', label: 'All' },
] as const;

export function ProjectsScreen() {
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const q = search.get('q') ?? '';
  const stage = search.get('stage') ?? '';
  const given = search.get('outcome');
  const outcome = given === 'won' || given === 'lost' || given === 'all' ? given : 'open';
  const { user } = useSignedIn();
  const list = useProjects(q.trim(), stage, outcome);
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const stages = list.data?.pages[0]?.stages ?? [];
  const choose = (next: { q?: string; stage?: string; outcome?: string }) => {
    const to = { q, stage, outcome, ...next };
    setSearch(
      {
        ...(to.q ? { q: to.q } : {}),
        ...(to.stage ? { stage: to.stage } : {}),
        ...(to.outcome !== 'open' ? { outcome: to.outcome } : {}),
      },
      { replace: true },
    );
  };
  const [typed, setTyped] = useTyped(q, (text) => choose({ q: text }));
  return (
    <Pillars
      title="Projects"
      pillars={[
        {
          name: 'Search',
          width: '236px',
          content: (
            <>
              <div className="pillar-head">
                <h1>Projects</h1>
                <small>newest first</small>
              </div>
              <Views
                label="Which projects"
                views={views}
                state={outcome}
                onState={(next) => choose({ outcome: next })}
              />
              {user.may.includes('projects.lead-any') && (
                <p>
                  <Link to="/projects/new">New project</Link>
                </p>
              )}
              <div></div>
              <div className="filter">
                <StaffField
                  label="Project, number or client"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
              </div>
              <h2 className="group-label">Stage</h2>
              <ul className="stage-list">
                {[{ name: '', projects: stages.reduce((sum, one) => sum + one.projects, 0) }, ...stages].map((one) => (
                  <li key={one.name}>
                    <button type="button" aria-pressed={one.name === stage} onClick={() => choose({ stage: one.name })}>
                      <span>{one.name || 'All stages'}</span>
                      <span className="figures">{one.projects}</span>
                    </button>
                  </li>
                ))}
              </ul>
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
              columns={columns(today)}
              id={(row) => row.id}
              path={(row) => `/projects/${row.id}`}
              empty={{
                fact: q || stage ? 'No project fits.' : 'No projects yet.',
                next:
                  q || stage
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
