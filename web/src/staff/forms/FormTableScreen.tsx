import { Link, useParams, useSearchParams } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { useToday } from '../shell/day';
import { ColumnList } from '../shell/ColumnList';
import { ListBody } from '../shell/ListBody';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import type { Column } from '../shell/RowTable';
import { SavedViews } from '../shell/SavedViews';
import { StaffField } from '../shell/StaffField';
import { useHiddenColumns } from '../shell/useHiddenColumns';
import { useTyped } from '../shell/useTyped';
import { Views } from '../shell/Views';
import { FigureList } from './FigureList';
import '../definition/forms.css';
import {
  useFigures,
  useForm,
  useFormTable,
  useRemoveView,
  useSaveView,
  useViews,
  type SubmissionOfForm,
} from './queries';

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

/** What came through one form: its questions as columns, searched, filtered, sorted, counted, and saved as a file. */
export function FormTableScreen() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const today = useToday();
  const q = search.get('q') ?? '';
  const sort = search.get('sort') ?? '';
  const counted = search.get('show') === 'figures';
  const state = states.find((one) => one.state === search.get('state'))?.state ?? '';
  const form = useForm(id);
  const list = useFormTable(id, q.trim(), state, sort);
  const figures = useFigures(id, q.trim(), state, counted);
  const [hidden, setHidden] = useHiddenColumns(id);
  const views = useViews(id).data ?? [];
  const save = useSaveView(id, { q, state, sort, hidden });
  const remove = useRemoveView(id);
  const set = (next: Partial<Record<'q' | 'state' | 'sort' | 'show', string>>) => {
    const to = { q, state, sort, show: counted ? 'figures' : '', ...next };
    setSearch(Object.fromEntries(Object.entries(to).filter(([, value]) => value !== '')), { replace: true });
  };
  const [typed, setTyped] = useTyped(q, (text) => set({ q: text }));
  if (form.error instanceof ProblemError && form.error.status === 404) return <NotFound what="form" />;
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const all = list.data?.pages[0]?.columns ?? [];
  const path = (row: SubmissionOfForm) => `/arrivals/${row.id}${row.state === 'waiting' ? '' : `?state=${row.state}`}`;
  const columns: Column<SubmissionOfForm>[] = [
    {
      name: 'Number',
      sort: 'number',
      cell: (row) => (
        <Link to={path(row)}>
          <span className="figures">{row.number}</span>
        </Link>
      ),
    },
    {
      name: 'Received',
      sort: 'received',
      cell: (row) => <span className="figures">{when(row.receivedAt, today)}</span>,
    },
    { name: 'State', sort: 'state', cell: (row) => marks[row.state] },
    ...all
      .filter((column) => !hidden.includes(column.key))
      .map((column) => ({
        name: column.wording || column.key,
        sort: `answer:${column.key}`,
        cell: (row: SubmissionOfForm) => <span className="cell">{row.answers[column.key] ?? ''}</span>,
      })),
  ];
  const filter = new URLSearchParams({
    ...(q ? { q } : {}),
    ...(state ? { state } : {}),
    ...(sort ? { sort } : {}),
  }).toString();
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
              <Views
                label="How they are shown"
                views={[
                  { state: '', label: 'Table' },
                  { state: 'figures', label: 'Counted' },
                ]}
                state={counted ? 'figures' : ''}
                onState={(show) => set({ show })}
              />
              <SavedViews
                views={views}
                onUse={({ filter: view }) => {
                  setHidden(view.hidden);
                  set({ q: view.q, state: view.state, sort: view.sort });
                }}
                onRemove={remove.mutate}
                save={save}
              />
              <div className="section-head">
                <h2>Save what is filtered</h2>
              </div>
              <p className="views">
                <a href={file('csv')}>CSV</a> <a href={file('xlsx')}>XLSX</a> <a href={file('json')}>JSON</a>
              </p>
              <div className="section-head">
                <h2>Columns</h2>
              </div>
              <ColumnList
                columns={all.map((column) => ({ key: column.key, label: column.wording || column.key }))}
                hidden={hidden}
                onHide={setHidden}
              />
            </>
          ),
        },
        {
          name: counted ? 'Counted' : 'Submissions',
          width: '1fr',
          content: counted ? (
            figures.error ? (
              <Trouble title="Not counted" again={() => void figures.refetch()}>
                {figures.error.message}
              </Trouble>
            ) : (
              <FigureList figures={figures.data} />
            )
          ) : (
            <ListBody
              label="Submissions"
              list={list}
              rows={rows}
              columns={columns}
              id={(row) => row.id}
              path={path}
              sorted={sort || '-received'}
              onSort={(next) => set({ sort: next })}
              empty={{
                fact: q || state ? 'No submission fits.' : 'Nothing has come through this form yet.',
                next: q || state ? 'Try fewer letters, or all states.' : 'What comes appears here and under Arrivals.',
              }}
            />
          ),
        },
      ]}
    />
  );
}
