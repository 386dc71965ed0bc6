import { useEffect, useRef, useState } from 'react';
import { NavLink } from 'react-router';
import { Mark } from '../../shared/Mark';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { clockTime, moment } from '../../shared/words';
import { Views } from '../shell/Views';
import { asideWords } from './aside';
import { MoreButton } from '../shell/MoreButton';
import './arrival-list.css';
import { groups } from './groups';
import type { SubmissionRow, SubmissionState, useSubmissions } from './queries';
import { ReplyStrip, span } from './ReplyStrip';

const views: { state: SubmissionState; label: string }[] = [
  { state: 'waiting', label: 'Waiting' },
  { state: 'accepted', label: 'Accepted' },
  { state: 'set-aside', label: 'Set aside' },
];

interface Props {
  state: SubmissionState;
  onState: (state: SubmissionState) => void;
  list: ReturnType<typeof useSubmissions>;
  rows: SubmissionRow[];
  today: string;
}

export function ArrivalList({ state, onState, list, rows, today }: Props) {
  return (
    <>
      <div className="pillar-head">
        <h1>Arrivals</h1>
        <small>{state === 'waiting' ? 'soonest first' : 'newest first'}</small>
      </div>
      <Views label="Which arrivals" views={views} state={state} onState={onState} />
      <Newcomers rows={state === 'waiting' ? rows : []} />
      {list.isPending && <ComingRows />}
      {list.isError && (
        <Trouble title="Not loaded" again={() => void list.refetch()}>
          {list.error.message}
        </Trouble>
      )}
      {list.isSuccess && rows.length === 0 && <NoRows state={state} />}
      {groups(rows, today).map((group) => (
        <section key={group.name || 'all'} className="arrivals-group">
          {group.name && <h2 className="group-label">{group.name}</h2>}
          <ul>
            {group.rows.map((row) => (
              <li key={row.id}>
                <Row row={row} today={today} />
              </li>
            ))}
          </ul>
        </section>
      ))}
      <MoreButton list={list} />
    </>
  );
}

function Row({ row, today }: { row: SubmissionRow; today: string }) {
  const waiting = row.state === 'waiting';
  return (
    <NavLink to={`/arrivals/${row.id}`} className="arrival" data-row={row.id}>
      <span className="arrival-name">
        <b>{row.name}</b>
        {waiting && <b className="figures">{row.clock.words}</b>}
      </span>
      <span className="arrival-second">
        {waiting &&
          (row.toDecide > 0 ? (
            <Mark kind="choose">{row.toDecide} to decide</Mark>
          ) : row.unfinished ? (
            <Mark kind="waiting">did not finish</Mark>
          ) : (
            <Mark kind="new">new</Mark>
          ))}
        {row.state === 'accepted' && <Mark kind="done">accepted</Mark>}
        {row.state === 'set-aside' && (
          <Mark kind="stopped">{asideWords[row.aside?.reason ?? 'other'] ?? 'set aside'}</Mark>
        )}
        <span className="arrival-form">{row.form.title}</span>
        <span className="figures">
          {waiting ? `of ${span(row.clock.promiseMinutes)}` : arrivedOn(row.receivedAt, today)}
        </span>
      </span>
      {waiting && <ReplyStrip clock={row.clock} />}
    </NavLink>
  );
}

/** The time today, the day otherwise: the name beside it matters more. */
function arrivedOn(iso: string, today: string): string {
  return moment(iso).toISODate() === today ? clockTime(iso) : moment(iso).toFormat('d LLL');
}

function NoRows({ state }: { state: SubmissionState }) {
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
