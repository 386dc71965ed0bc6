import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { shortDay } from '../../shared/words';
import { useKey } from '../keys';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { Allowed } from '../shell/Allowed';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { MoneyCourses } from './MoneyCourses';
import { useQuotes, type Quotes } from './queries';
import './quotes.css';
import { money, states } from './states';
import { useFollowing } from '../shell/following';
import { queryKeys } from '../queryKeys';
import { firstName } from '../../shared/firstName';

type Row = Quotes['items'][number];

const filters = [
  { key: 'price', label: 'to price', is: (row: Row) => row.state === 'draft' && row.toPrice > 0 },
  { key: 'out', label: 'running out', is: (row: Row) => ['sent', 'opened'].includes(row.state) && row.daysLeft <= 3 },
  { key: 'asked', label: 'with a question', is: (row: Row) => row.asked },
] as const;

/** All quotes: what stands open by state and value, what to do next, and how often people said yes. */
export function QuotesScreen() {
  const list = useQuotes();
  useFollowing(queryKeys.quotes);
  const today = useToday();
  const me = useSignedIn().user;
  const navigate = useNavigate();
  const [at, setAt] = useState('');
  const [only, setOnly] = useState<string[]>([]);
  const all = list.data?.items ?? [];
  const rows = all.filter(
    (row) =>
      filters.every((filter) => !only.includes(filter.key) || filter.is(row)) &&
      (!only.includes('mine') || row.lead.id === me.id),
  );
  const i = Math.max(
    0,
    rows.findIndex((row) => row.id === at),
  );
  const chosen = rows[i];
  useKey('next', () => setAt(rows[Math.min(i + 1, rows.length - 1)]?.id ?? ''));
  useKey('previous', () => setAt(rows[Math.max(i - 1, 0)]?.id ?? ''));
  const open = chosen ? () => void navigate(`/quotes/${chosen.id}`) : undefined;
  const flip = (key: string) => setOnly(only.includes(key) ? only.filter((one) => one !== key) : [...only, key]);
  if (!list.data) return <PillarsWaiting title="Quotes" query={list} />;
  const head = (
    <section className="quotes-head" aria-label="Quotes by state and value">
      <div className="quotes-filter">
        <h1>Quotes</h1>
        <p>
          <b>{all.filter((row) => ['draft', 'sent', 'opened'].includes(row.state)).length}</b> open, next to do first
        </p>
        <p role="group" aria-label="Only">
          {[...filters, { key: 'mine', label: 'mine', is: (row: Row) => row.lead.id === me.id }].map((filter) => (
            <label key={filter.key} className="inline-check">
              <input type="checkbox" checked={only.includes(filter.key)} onChange={() => flip(filter.key)} />{' '}
              {filter.label} {all.filter(filter.is).length}
            </label>
          ))}
        </p>
        <p className="quotes-ways">
          <Allowed to="prices.see">
            <Link to="/quotes/prices">Price list</Link>
          </Allowed>{' '}
          <a href="/api/quotes/export">Save as CSV</a>
        </p>
      </div>
      <MoneyCourses rows={rows} sums={list.data.sums} chosen={chosen?.id ?? ''} onChoose={setAt} />
    </section>
  );
  return (
    <Pillars
      title="Quotes"
      head={all.length > 0 ? head : undefined}
      pillars={[
        {
          name: 'Quotes',
          width: '916px',
          middling: '1fr',
          content:
            all.length === 0 ? (
              <>
                <h1 className="unseen">Quotes</h1>
                <Empty fact="No quote yet.">
                  Open a project and write one: its lines come from the answers, by the{' '}
                  <Link to="/quotes/prices">price list</Link>.
                </Empty>
              </>
            ) : rows.length === 0 ? (
              <Empty fact="None of these.">Take a mark out above to see the others.</Empty>
            ) : (
              <>
                <Table rows={rows} today={today} chosen={chosen?.id ?? ''} onChoose={setAt} />
                {list.data.more && (
                  <p className="second">
                    The newest {all.length} are shown; the sums and the <a href="/api/quotes/export">CSV file</a> hold
                    all of them.
                  </p>
                )}
              </>
            ),
          blocks: chosen
            ? [{ label: `Open ${chosen.number}`, keyName: 'main', main: true, act: open ?? (() => undefined) }]
            : [],
        },
        { name: 'Said yes before', width: '1fr', sheet: true, content: <Bands bands={list.data.bands} row={chosen} /> },
      ]}
    />
  );
}

function Table({
  rows,
  today,
  chosen,
  onChoose,
}: {
  rows: Row[];
  today: string;
  chosen: string;
  onChoose: (id: string) => void;
}) {
  return (
    <table className="quotes-table">
      <thead>
        <tr>
          <th>number, client</th>
          <th>state</th>
          <th className="right">value</th>
          <th>days left</th>
          <th>chance of a yes</th>
          <th>next thing to do</th>
          <th className="right">when</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.id} className={row.id === chosen ? 'chosen' : ''} onClick={() => onChoose(row.id)}>
            <td>
              <span className="figures second">{row.number.replace('Q-', '')}</span>{' '}
              <Link to={`/quotes/${row.id}`}>{row.client.label}</Link>
            </td>
            <td>
              <Mark kind={row.asked ? 'new' : states[row.state].mark}>
                {row.asked ? 'question' : states[row.state].word}
              </Mark>
            </td>
            <td className="right figures">{money(row.total)}</td>
            <td>
              <Age row={row} />
            </td>
            <td className="second">{['draft', 'sent', 'opened'].includes(row.state) ? chanceWords(row.chance) : ''}</td>
            <td className={row.next.who ? '' : 'second'}>
              {row.toPrice > 0 && row.state === 'draft' ? <Mark kind="choose">{row.next.words}</Mark> : row.next.words}{' '}
              <span className="second">{firstName(row.next.who)}</span>
            </td>
            <td className="right">
              {row.next.due ? (
                row.next.due < today ? (
                  <b>since {shortDay(row.next.due, today)}</b>
                ) : row.next.due === today ? (
                  'today'
                ) : (
                  shortDay(row.next.due, today)
                )
              ) : (
                ''
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function chanceWords(chance: Row['chance']): string {
  return chance.from === null
    ? 'not known yet'
    : `${chance.from} to ${chance.upTo} %${chance.guess ? ', a guess' : ''}`;
}

/** Days that are gone, of those for which it is good: ink to today. */
function Age({ row }: { row: Row }) {
  if (row.state !== 'sent' && row.state !== 'opened') return null;
  const all = row.sentAt
    ? Math.max(1, Math.round((Date.parse(row.validUntil) - Date.parse(row.sentAt)) / 86_400_000))
    : 14;
  const gone = Math.min(1, Math.max(0, 1 - row.daysLeft / all));
  return (
    <span className="age">
      <i aria-hidden>
        <i style={{ width: `${100 * gone}%` }} />
      </i>{' '}
      {row.daysLeft < 0 ? `${-row.daysLeft} over` : row.daysLeft === 1 ? '1 day left' : `${row.daysLeft} days left`}
    </span>
  );
}

function Bands({ bands, row }: { bands: Quotes['bands']; row: Row | undefined }) {
  const all = bands.reduce((sum, band) => sum + band.all, 0);
  const words = ({ least, most }: Quotes['bands'][number]) =>
    least === 0
      ? `under ${most}`
      : most === null
        ? `over ${least.toLocaleString('en')}`
        : `${least.toLocaleString('en')} to ${most.toLocaleString('en')}`;
  return (
    <div className="quote-bands">
      {row && (
        <>
          <h2>
            {row.client.label}, {row.number}
          </h2>
          <p>
            {row.openedTimes > 0 ? `Opened ${row.openedTimes === 1 ? 'once' : `${row.openedTimes} times`}. ` : ''}
            {row.project?.path && <Link to={row.project.path}>{row.project.label}</Link>}
          </p>
        </>
      )}
      <div className="pillar-head">
        <h2>Said yes before, by value</h2>
        <small>from {all}</small>
      </div>
      <ul>
        {bands.map((band) => (
          <li key={band.least}>
            <span>{words(band)}</span>
            <span className={band.guess ? 'band guess' : 'band'} aria-hidden>
              {band.from !== null && band.upTo !== null && (
                <i style={{ left: `${band.from}%`, width: `${band.upTo - band.from}%` }} />
              )}
            </span>
            <span className="second">
              {band.yes} of {band.all}
            </span>
            <span className="right">
              {band.all === 0 || band.upTo === null ? '' : `${Math.round((100 * band.yes) / band.all)} %`}
            </span>
          </li>
        ))}
      </ul>
      <p className="second">
        A bar is right 19 times in 20. Hatched, under 20 cases, it is a guess. Of the last 24 months.
      </p>
    </div>
  );
}
