import { memo, useEffect, useRef, useState } from 'react';
import { Link, NavLink } from 'react-router';
import { Mark } from '../../shared/Mark';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { clockTime, moment } from '../../shared/words';
import { Views } from '../shell/Views';
import { asideWords } from './aside';
import { MoreButton } from '../shell/MoreButton';
import '../shell/side-list.css';
import { groups } from './groups';
import type { ListState, SubmissionRow, useSubmissions } from './queries';
import type { Acting, Asked } from './acting';
import './handling.css';
import { ReplyStrip, span } from './ReplyStrip';

const views: { state: ListState; label: string }[] = [
  { state: 'waiting', label: 'Waiting' },
  { state: 'owed', label: 'Owed' },
  { state: 'accepted', label: 'Accepted' },
  { state: 'set-aside', label: 'Set aside' },
];

interface Props {
  state: ListState;
  onState: (state: ListState) => void;
  list: ReturnType<typeof useSubmissions>;
  rows: SubmissionRow[];
  today: string;
  acting: Acting;
  onAsk: (what: Asked['what']) => void;
  /** A row was pressed: on a phone its sheet comes into sight. */
  onOpen: () => void;
}

export function ArrivalList({ state, onState, list, rows, today, acting, onAsk, onOpen }: Props) {
  const owed = list.data?.pages[0]?.counts.owed ?? 0;
  return (
    <>
      <div className="pillar-head">
        <h1>Arrivals</h1>
        <small>{state === 'waiting' ? 'by lateness' : state === 'owed' ? 'soonest first' : 'newest first'}</small>
      </div>
      <Views
        label="Which arrivals"
        views={views.filter((view) => view.state !== 'owed' || owed > 0 || state === 'owed')}
        state={state}
        onState={onState}
      />
      <p className="write-down">
        <Link to="/inquiry">Write down an inquiry</Link> <kbd aria-hidden="true">I</kbd>
      </p>
      {acting.chosen.length > 0 && <Chosen acting={acting} onAsk={onAsk} />}
      <Newcomers rows={state === 'waiting' ? rows : []} />
      {list.isPending && <ComingRows />}
      {list.isError && (
        <Trouble title="Not loaded" again={() => void list.refetch()}>
          {list.error.message}
        </Trouble>
      )}
      {list.isSuccess && rows.length === 0 && <NoRows state={state} />}
      {groups(rows, today).map((group) => (
        <section
          key={group.name || 'all'}
          className={acting.chosen.length > 0 ? 'arrivals-group choosing' : 'arrivals-group'}
        >
          {group.name && <h2 className="group-label">{group.name}</h2>}
          <ul>
            {group.rows.map((row) => (
              <li key={row.id}>
                {row.state === 'waiting' && (
                  <input
                    type="checkbox"
                    className="choose-row"
                    aria-label={`Choose ${row.name}`}
                    checked={acting.chosen.includes(row.id)}
                    onChange={() => acting.choose(row.id)}
                  />
                )}
                <Row row={row} today={today} onOpen={onOpen} />
              </li>
            ))}
          </ul>
        </section>
      ))}
      <MoreButton list={list} />
    </>
  );
}

/** Drawn again only when it says something else: turning to the next one touches two of fifty. */
const Row = memo(function Row({ row, today, onOpen }: { row: SubmissionRow; today: string; onOpen: () => void }) {
  const waiting = row.state === 'waiting';
  const running = waiting || !row.answered;
  return (
    <NavLink to={`/arrivals/${row.id}`} className="arrival" data-row={row.id} onClick={onOpen}>
      <span className="arrival-name">
        <b>{row.name}</b>
        {running && row.state !== 'set-aside' && <b className="figures">{row.clock.words}</b>}
      </span>
      <span className="arrival-second">
        {waiting &&
          (row.putOff ? (
            <Mark kind="waiting">put off</Mark>
          ) : row.remindAt ? (
            <Mark kind="waiting">back again</Mark>
          ) : row.toDecide > 0 ? (
            <Mark kind="choose">{row.toDecide} to decide</Mark>
          ) : row.unfinished ? (
            <Mark kind="waiting">did not finish</Mark>
          ) : row.visit ? (
            <VisitMark visit={row.visit} today={today} />
          ) : (
            <Mark kind="new">new</Mark>
          ))}
        {row.state === 'accepted' &&
          row.answered &&
          (row.visit ? <VisitMark visit={row.visit} today={today} /> : <Mark kind="done">accepted</Mark>)}
        {row.state === 'set-aside' && (
          <Mark kind="stopped">{asideWords[row.aside?.reason ?? 'other'] ?? 'set aside'}</Mark>
        )}
        {row.state === 'accepted' && !row.answered && <Mark kind="new">not answered</Mark>}
        <span className="arrival-form">
          {row.assignee && <b>{initials(row.assignee.name)} </b>}
          {row.priority > 0 && (
            <b className="figures" title="Priority: the points that its answers count">
              {count(row.priority, 'pt')}{' '}
            </b>
          )}
          {row.form.title}
        </span>
        <span className="figures">
          {waiting ? `of ${span(row.clock.promiseMinutes)}` : arrivedOn(row.receivedAt, today)}
        </span>
      </span>
      {waiting && <ReplyStrip clock={row.clock} />}
    </NavLink>
  );
});

/** What became of the time that was booked with it. */
function VisitMark({ visit, today }: { visit: NonNullable<SubmissionRow['visit']>; today: string }) {
  const on = arrivedOn(visit.startsAt, today);
  switch (visit.state) {
    case 'offered':
      return <Mark kind="waiting">{on} offered</Mark>;
    case 'held':
      return <Mark kind="done">held {on}</Mark>;
    case 'missed':
      return <Mark kind="stopped">missed {on}</Mark>;
    case 'cancelled':
      return <Mark kind="stopped">cancelled</Mark>;
    default:
      return <Mark kind="done">booked {on}</Mark>;
  }
}

/** What may be done with those that are chosen. */
function Chosen({ acting, onAsk }: { acting: Acting; onAsk: Props['onAsk'] }) {
  return (
    <div className="chosen-bar" role="group" aria-label="The chosen">
      <b className="figures">{acting.chosen.length} chosen</b>
      <button type="button" className="link-button" onClick={() => onAsk('assign')}>
        give
      </button>
      <button type="button" className="link-button" onClick={() => onAsk('remind')}>
        put off
      </button>
      <button type="button" className="link-button" onClick={() => onAsk('note')}>
        note
      </button>
      <button type="button" className="link-button" onClick={() => onAsk('aside')}>
        set aside
      </button>
      <button type="button" className="link-button" onClick={acting.chooseNone}>
        choose none
      </button>
    </div>
  );
}

function initials(name: string): string {
  return name
    .split(' ')
    .map((word) => word[0] ?? '')
    .join('');
}

/** The time today, the day otherwise: the name beside it matters more. */
function arrivedOn(iso: string, today: string): string {
  return moment(iso).toISODate() === today ? clockTime(iso) : moment(iso).toFormat('d LLL');
}

function NoRows({ state }: { state: ListState }) {
  if (state === 'owed')
    return (
      <Empty fact="Everybody has been answered.">What rules accept by themselves waits here for your answer.</Empty>
    );
  if (state === 'waiting')
    return (
      <Empty fact="All arrivals are answered.">New ones appear here and on the day ruler, without reloading.</Empty>
    );
  return (
    <Empty fact={state === 'accepted' ? 'No plan has been accepted yet.' : 'Nothing has been set aside.'}>
      What you decide under Waiting is listed here.
    </Empty>
  );
}

/** Tells those who do not see the list that somebody new has written. */
function Newcomers({ rows }: { rows: SubmissionRow[] }) {
  const seen = useRef<Set<string> | null>(null);
  const [words, setWords] = useState('');
  useEffect(() => {
    const known = seen.current;
    if (known) {
      const fresh = rows.filter((row) => !known.has(row.id));
      if (fresh.length > 0) setWords(`New: ${fresh.map((row) => row.name).join(', ')}`);
    }
    if (rows.length > 0) seen.current = new Set([...(known ?? []), ...rows.map((row) => row.id)]);
  }, [rows]);
  return (
    <div className="unseen" aria-live="polite">
      {words}
    </div>
  );
}
