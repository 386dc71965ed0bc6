import { useInfiniteQuery } from '@tanstack/react-query';
import { Fragment } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { clockTime, moment, shortDay } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { useToday } from './day';
import { MoreButton } from './MoreButton';
import './journal.css';
import { RecordLink } from './RecordLink';

type Entry = Schema<'JournalEntry'>;

function useJournal(record: string) {
  return useInfiniteQuery({
    queryKey: queryKeys.journal(record),
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/journal', { params: { query: { record, ...(pageParam ? { cursor: pageParam } : {}) } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
  });
}

/** The history of a record, newest first: one line an act, what it did to the record beneath. */
export function Journal({ record }: { record: string }) {
  const journal = useJournal(record);
  const today = useToday();
  const acts = grouped(journal.data?.pages.flatMap((page) => page.items) ?? []);
  return (
    <section aria-label="Journal">
      <div className="section-head">
        <h2>Journal</h2>
        <small>newest first</small>
      </div>
      {journal.isPending && <ComingRows rows={4} />}
      {journal.isError && (
        <Trouble title="Not loaded" again={() => void journal.refetch()}>
          {journal.error.message}
        </Trouble>
      )}
      <ul className="journal">
        {acts.map((act, i) => {
          const day = moment(act.at).toISODate();
          const before = acts[i - 1];
          return (
            <Fragment key={act.id}>
              {(!before || moment(before.at).toISODate() !== day) && (
                <li className="journal-day group-label">{day === today ? 'Today' : shortDay(act.at, today)}</li>
              )}
              <li className={act.undone ? 'journal-act undone' : 'journal-act'}>
                <span className="figures second">{clockTime(act.at)}</span>
                <div>
                  <b>{act.by}</b> {act.words}
                  {act.submission && (
                    <>
                      , <RecordLink record={act.submission} />
                    </>
                  )}
                  {act.undone && <span className="second"> (taken back)</span>}
                  {act.lines.length > 0 && (
                    <details>
                      <summary>{act.lines.length === 1 ? '1 record' : `${act.lines.length} records`}</summary>
                      <ul>
                        {act.lines.map((line) => (
                          <li key={line.id}>
                            {line.words}
                            {line.changes.map((change) => (
                              <div key={change.field}>
                                {change.field}: <s>{change.from || 'empty'}</s> {change.to || 'empty'}
                              </div>
                            ))}
                          </li>
                        ))}
                      </ul>
                    </details>
                  )}
                </div>
              </li>
            </Fragment>
          );
        })}
      </ul>
      <MoreButton list={journal} words="Earlier" />
    </section>
  );
}

interface Act {
  id: string;
  at: string;
  by: string;
  words: string;
  undone: boolean;
  submission: Entry['submission'];
  lines: Entry[];
}

/** Entries of one act stand together under it. */
function grouped(entries: Entry[]): Act[] {
  const acts: Act[] = [];
  for (const entry of entries) {
    const last = acts.at(-1);
    if (last && last.id === entry.change.id) last.lines.push(entry);
    else
      acts.push({
        id: entry.change.id,
        at: entry.at,
        by: entry.by,
        words: entry.change.words,
        undone: entry.undone,
        submission: entry.submission,
        lines: [entry],
      });
  }
  return acts;
}
