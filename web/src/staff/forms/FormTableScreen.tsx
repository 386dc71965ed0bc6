import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { when } from '../../shared/words';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import { ListBody } from '../shell/ListBody';
import type { Column } from '../shell/RowTable';
import { StaffField } from '../shell/StaffField';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import './forms.css';
import { useForm, useFormTable, type SubmissionOfForm } from './queries';

const states = [
  { state: '', label: 'All' },
  { state: 'waiting', label: 'Waiting' },
  { state: 'accepted', label: 'Accepted' },
  { state: 'set-aside', label: 'Set aside' },
] as const;

const marks = {
  waiting: <Mark kind="new">new</Mark>,
  accepted: <Mark kind="done">accepted</Mark>,
  'set-aside': <Mark kind="stopped">set aside</Mark>,
};

/** What came through one form, its questions as columns: searched, filtered, and saved as a file. */
export function FormTableScreen() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const q = search.get('q') ?? '';
  const state = states.find((one) => one.state === search.get('state'))?.state ?? '';
  const form = useForm(id);
  const list = useFormTable(id, q.trim(), state);
  const [hidden, setHidden] = useHiddenColumns(id);
  const set = (next: { q?: string; state?: string }) => {
    const to = { q, state, ...next };
    setSearch({ ...(to.q ? { q: to.q } : {}), ...(to.state ? { state: to.state } : {}) }, { replace: true });
  };
  const [typed, setTyped] = useTyped(q, (text) => set({ q: text }));
  if (form.error instanceof ProblemError && form.error.status === 404) return <NotFound what="form" />;
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const all = list.data?.pages[0]?.columns ?? [];
  const columns: Column<SubmissionOfForm>[] = [
    {
      name: 'Number',
      cell: (row) => (
        <Link to={`/arrivals/${row.id}${row.state === 'waiting' ? '' : `?state=${row.state}`}`}>
          <span className="figures">{row.number}</span>
        </Link>
      ),
    },
    { name: 'Received', cell: (row) => <span className="figures">{when(row.receivedAt, today)}</span> },
    { name: 'State', cell: (row) => marks[row.state] },
    ...all
      .filter((column) => !hidden.includes(column.key))
      .map((column) => ({
        name: column.wording,
        cell: (row: SubmissionOfForm) => <span className="cell">{row.answers[column.key] ?? ''}</span>,
      })),
  ];
  const filter = new URLSearchParams({ ...(q ? { q } : {}), ...(state ? { state } : {}) }).toString();
  const file = (kind: string) => `/api/forms/${id}/submissions/${kind}${filter ? `?${filter}` : ''}`;
  return (
    <Pillars
      title={`${form.data?.title ?? 'Form'}, submissions`}
      pillars={[
        {
          name: 'Filter',
          width: '236px',
          content: (
            <>
              <div className="pillar-head">
                <h1>{form.data?.title ?? 'Form'}</h1>
                <Link to={`/forms/${id}`}>design</Link>
              </div>
              <div className="filter">
                <StaffField
                  label="In any answer"
                  type="search"
                  value={typed}
                  onChange={(event) => setTyped(event.target.value)}
                />
              </div>
              <Views label="Which submissions" views={states} state={state} onState={(next) => set({ state: next })} />
              <div className="section-head">
                <h2>Columns</h2>
              </div>
              <ul className="column-list">
                {all.map((column) => (
                  <li key={column.key}>
                    <label>
                      <input
                        type="checkbox"
                        checked={!hidden.includes(column.key)}
                        onChange={(event) =>
                          setHidden(
                            event.target.checked ? hidden.filter((key) => key !== column.key) : [...hidden, column.key],
                          )
                        }
                      />{' '}
                      {column.wording}
                    </label>
                  </li>
                ))}
              </ul>
              <div className="section-head">
                <h2>Save what is filtered</h2>
              </div>
              <p className="views">
                <a href={file('csv')}>CSV</a> <a href={file('json')}>JSON</a>
              </p>
            </>
          ),
        },
        {
          name: 'Submissions',
          width: '1fr',
          content: (
            <ListBody
              label="Submissions"
              list={list}
              rows={rows}
              columns={columns}
              id={(row) => row.id}
              path={(row) => `/arrivals/${row.id}${row.state === 'waiting' ? '' : `?state=${row.state}`}`}
              empty={{
                fact: filter ? 'No submission fits.' : 'Nothing has come through this form yet.',
                next: filter ? 'Try fewer letters, or all states.' : 'What comes appears here and under Arrivals.',
              }}
            />
          ),
        },
      ]}
    />
  );
}

/** Which columns of a form's table are left out, remembered in the browser. */
function useHiddenColumns(id: string): [string[], (keys: string[]) => void] {
  const name = `telamon.columns.${id}`;
  const [hidden, setHidden] = useState<string[]>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(name) ?? '[]');
      return Array.isArray(kept) ? kept.filter((key): key is string => typeof key === 'string') : [];
    } catch {
      return [];
    }
  });
  return [
    hidden,
    (keys) => {
      localStorage.setItem(name, JSON.stringify(keys));
      setHidden(keys);
    },
  ];
}
