import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, need, ProblemError } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { Mark, MarkShape } from '../../shared/Mark';
import { Trouble } from '../../shared/Notice';
import { longDay, shortDay } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { useToday } from '../shell/day';
import { FileLines } from '../shell/FileLines';
import { Journal } from '../shell/Journal';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { useToast } from '../shell/Toast';
import { Allowed } from '../shell/Allowed';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind as SavedMeanwhile } from '../shell/Behind';
import { ReadOnly, useMay } from '../shell/ReadOnly';
import { useDraftOf } from '../shell/useDraftOf';
import { Asked } from './Asked';
import { GoesWith } from './GoesWith';
import { KeepAsTemplate } from './KeepAsTemplate';
import { LineRows } from './LineRows';
import { useDraft, usePrices, useQuote, useQuoteActs, useTotals, type Content, type Quote } from './queries';
import './quotes.css';
import { SideBySide } from './SideBySide';
import { money, states } from './states';
import { Sums } from './Sums';
import { useFileList } from '../shell/asked';

/** One quote: its answers and photographs, its lines, what it comes to, and what becomes of it. */
export function QuoteScreen() {
  const { id = '' } = useParams();
  const quote = useQuote(id);
  if (quote.data) return <TheQuote key={`${quote.data.id} ${quote.data.version}`} quote={quote.data} />;
  return <PillarsWaiting title="Quote" query={quote} />;
}

function TheQuote({ quote }: { quote: Quote }) {
  const work = useDraftOf(
    `quote.${quote.id}`,
    quote.version,
    { content: quote.content, validUntil: quote.validUntil },
    quote.state === 'draft',
  );
  const { content, validUntil } = work.value;
  const setTyped = work.set;
  const setContent = (next: Content) => setTyped({ content: next, validUntil });
  const changed = JSON.stringify(content) !== JSON.stringify(quote.content) || validUntil !== quote.validUntil;
  const keeps = useMay('quotes.keep');
  const sees = useMay('records.see-all');
  const draft = quote.state === 'draft' && keeps;
  const prices = usePrices();
  const today = useToday();
  const toast = useToast();
  const navigate = useNavigate();
  const { save, send, withdraw, revise } = useQuoteActs(quote.id);
  const copy = useDraft();
  const [key] = useState(newKey);
  const typed = useTotals(content, quote.gross, draft && changed);
  const totals = changed ? (typed.data?.totals ?? quote.totals) : quote.totals;
  const missing = changed ? (typed.data?.missing ?? quote.missing) : quote.missing;
  // What cannot be added up leaves the sums of before: they are told from those that hold.
  const old = changed && (typed.isPlaceholderData || typed.isFetching || typed.error !== null);
  const error = [save, send].find((one) => one.error)?.error ?? (changed ? typed.error : null);
  const violations = error instanceof ProblemError ? error.violations : [];
  // What is wrong is said beside its field; what has none, above all others.
  const elsewhere = violations.filter(
    (one) => !/^(content\.)?(lines|allowances|charges|deposit|instalments|intro|terms|reason)\b/.test(one.path),
  );
  const failed = (problem: Error) => toast({ words: problem.message });
  const keep = (then?: (kept: Quote) => void) => {
    const wasSaved = work.sending();
    save.mutate(
      { version: work.from, content, validUntil },
      {
        onSuccess: (kept) => {
          wasSaved(kept.version);
          if (then) then(kept);
          else toast({ words: `${quote.number} is saved.` });
        },
      },
    );
  };
  const go = () => {
    const first = missing[0];
    if (first) {
      // What is missing is shown where it is missing; nothing is sent.
      toast({ words: first.words });
      document.querySelector<HTMLElement>(`[data-path="${first.path}"]`)?.focus();
      return;
    }
    const out = (kept: Quote) =>
      send.mutate(kept.version, {
        onSuccess: () => toast({ words: `${quote.number} is on its way to ${quote.email}. U takes it back.` }),
        onError: failed,
      });
    if (changed) keep(out);
    else out(quote);
  };
  const state = states[quote.state];
  const busy = save.isPending || send.isPending;
  const blocks = draft
    ? [
        {
          label: missing.length > 0 ? (missing[0]?.words ?? '') : `Send to ${quote.client.label}`,
          keyName: 'main' as const,
          main: true,
          disabled: busy,
          act: go,
        },
        { label: changed ? 'Save' : 'Saved', disabled: !changed || busy, act: () => keep() },
      ]
    : [
        ...(quote.token
          ? [
              {
                label: 'See it as the client',
                act: () => void window.open(`/quote/${quote.token}`, '_blank', 'noreferrer'),
              },
            ]
          : []),
        ...(keeps && quote.state !== 'accepted' && quote.state !== 'replaced'
          ? [
              {
                label: 'Another revision',
                act: () =>
                  revise.mutate(key, { onSuccess: (next) => void navigate(`/quotes/${next.id}`), onError: failed }),
              },
              {
                label: 'Withdraw it',
                act: () =>
                  withdraw.mutate(quote.version, {
                    onSuccess: () => toast({ words: `${quote.number} is withdrawn.` }),
                    onError: failed,
                  }),
              },
            ]
          : []),
        ...(keeps
          ? [
              {
                label: 'Copy it',
                act: () =>
                  copy.mutate(
                    { key, like: quote.id, ...(quote.project ? { project: quote.project.id } : {}) },
                    { onSuccess: (next) => void navigate(`/quotes/${next.id}`), onError: failed },
                  ),
              },
            ]
          : []),
      ];
  const head = (
    <section className="quote-head" aria-label="The quote">
      <div>
        <h1>
          Quote for{' '}
          {sees && quote.client.path ? <Link to={quote.client.path}>{quote.client.label}</Link> : quote.client.label}
        </h1>
        <p>
          <span className="figures">{quote.number}</span> <Mark kind={state.mark}>{state.word}</Mark>{' '}
          {sees && quote.project?.path ? (
            <Link to={quote.project.path}>{quote.project.label}</Link>
          ) : (
            quote.project?.label
          )}
          , led by {quote.lead.name}
        </p>
        <AlsoWriting name={`quote.${quote.id}`} />
        {work.behind && draft && (
          <SavedMeanwhile version={quote.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
        )}
        <p className="quote-until">
          Good until{' '}
          {draft ? (
            <input
              type="date"
              aria-label="Good until"
              value={validUntil}
              onChange={(event) => event.target.value && setTyped({ content, validUntil: event.target.value })}
            />
          ) : (
            shortDay(quote.validUntil, today)
          )}
          {quote.readyBy && (
            <>
              , ready by <b>{shortDay(quote.readyBy, today)}</b>
            </>
          )}
        </p>
      </div>
      {draft && (
        <ol className="needs-course" aria-label="Before it is sent">
          <li className={quote.email ? 'there' : 'missing'}>
            <MarkShape kind={quote.email ? 'done' : 'choose'} /> {quote.email || 'no mail address'}
          </li>
          {missing.slice(0, 3).map((one) => (
            <li key={one.path} className="missing">
              <button
                type="button"
                onClick={() => document.querySelector<HTMLElement>(`[data-path="${one.path}"]`)?.focus()}
              >
                <MarkShape kind="choose" /> {one.words}
              </button>
            </li>
          ))}
          {missing.length === 0 && (
            <li className="there">
              <MarkShape kind="done" /> every line has a price
            </li>
          )}
        </ol>
      )}
    </section>
  );
  return (
    <Pillars
      title={`${quote.number} ${quote.client.label}`}
      head={head}
      note={draft && changed ? 'changed, not saved' : undefined}
      pillars={[
        {
          name: 'Answers',
          width: '312px',
          folds: true,
          sheet: true,
          content: <Behind quote={quote} content={content} onChange={draft ? setContent : undefined} />,
        },
        {
          name: 'Lines',
          width: '600px',
          middling: '1fr',
          choose: missing.length > 0,
          content: (
            <>
              <LineRows
                content={content}
                totals={totals}
                old={old}
                prices={prices.data}
                onChange={draft ? setContent : undefined}
                violations={violations}
                listed={changed ? (typed.data?.listed ?? []) : []}
              />
              {error && (elsewhere.length > 0 || violations.length === 0) && (
                <Trouble title="Not done">{elsewhere[0]?.message ?? error.message}</Trouble>
              )}
            </>
          ),
          blocks,
        },
        {
          name: 'Sums',
          width: '1fr',
          content: (
            <>
              <Sums
                old={old}
                content={content}
                totals={totals}
                gross={quote.gross}
                onChange={draft ? setContent : undefined}
                violations={violations}
              />
              <p className="quote-papers">
                <a href={`/api/quotes/${quote.id}/pdf`} target="_blank" rel="noreferrer">
                  {changed ? 'PDF, as saved' : 'PDF'}
                </a>{' '}
                <a href={`/api/quotes/${quote.id}/ubl`}>UBL</a>
                <Allowed to="quotes.keep">
                  <KeepAsTemplate quote={quote} changed={changed} />
                </Allowed>
              </p>
              <Told quote={quote} today={today} />
              <Allowed to="records.see-all">
                <Journal record={quote.id} />
              </Allowed>
            </>
          ),
        },
      ]}
    />
  );
}

/** The answers that gave lines, and the photographs that came with them. */
function Behind({
  quote,
  content,
  onChange,
}: {
  quote: Quote;
  content: Content;
  onChange: ((content: Content) => void) | undefined;
}) {
  const project = quote.project?.id ?? '';
  const sees = useMay('records.see-all');
  const files = useFileList('project', sees ? project : '');
  const from = [...new Set(content.lines.map((line) => line.from ?? '').filter(Boolean))];
  return (
    <div className="quote-behind">
      <div className="pillar-head">
        <h2>What it came from</h2>
        {sees && quote.submission?.path && (
          <small>
            <Link to={quote.submission.path}>all answers</Link>
          </small>
        )}
      </div>
      {from.length === 0 && <p className="second">Written by hand.</p>}
      <dl>
        {from.map((words) => (
          <div key={words}>
            <dt>{content.lines.flatMap((line, i) => (line.from === words ? [`line ${i + 1}`] : [])).join(', ')}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
      <FileLines files={(files.data?.items ?? []).filter((file) => file.isImage)} />
      <GoesWith files={files.data?.items ?? []} content={content} onChange={onChange} />
    </div>
  );
}

/** What became of it: opened, asked, declined, signed; its other revisions. */
function Told({ quote, today }: { quote: Quote; today: string }) {
  return (
    <div className="quote-told">
      {quote.openedTimes > 0 && quote.openedAt && (
        <p>
          Opened {quote.openedTimes === 1 ? 'once' : `${quote.openedTimes} times`}, last{' '}
          {longDay(quote.openedAt.slice(0, 10))}.
        </p>
      )}
      {quote.questions.map((question, i) => (
        <ReadOnly key={question.at} unless="quotes.keep">
          <Asked quote={quote} at={i} question={question} today={today} />
        </ReadOnly>
      ))}
      {quote.state === 'declined' && <p>They said no{quote.reason ? `: “${quote.reason}”` : '.'}</p>}
      {quote.signed && (
        <p>
          <Mark kind="done">signed</Mark> by {quote.signed.name}, {longDay(quote.signed.at.slice(0, 10))},{' '}
          {quote.signed.drawn ? 'drawn' : 'by typed name'}. SHA-256 <code>{quote.signed.sha256.slice(0, 16)}…</code>,{' '}
          <a href={`/api/quotes/${quote.id}/evidence`}>its record</a>, <a href="/check">have a file checked</a>
        </p>
      )}
      <Changed quote={quote} />
      {quote.revisions.length > 1 && (
        <ul className="rows lines">
          {quote.revisions.map((one) => (
            <li key={one.id}>
              <span className="line-top">
                {one.id === quote.id ? <b>{one.number}</b> : <Link to={`/quotes/${one.id}`}>{one.number}</Link>}
                <Mark kind={states[one.state].mark}>{states[one.state].word}</Mark>
                <span className="figures">{money(one.total)}</span>
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** What differs from the revision before. */
function Changed({ quote }: { quote: Quote }) {
  const [beside, setBeside] = useState(false);
  const before = quote.revisions[quote.revisions.findIndex((one) => one.id === quote.id) - 1];
  const differences = useQuery({
    queryKey: [...queryKeys.quote(quote.id), 'compare', quote.version],
    queryFn: () =>
      need(
        api.GET('/api/quotes/{id}/compare/{other}', {
          params: { path: { id: quote.id, other: before?.id ?? '' } },
        }),
      ),
    enabled: before !== undefined,
  });
  if (!before || !differences.data) return null;
  return (
    <div className="quote-question">
      <b>Changed since {before.number}</b>
      {differences.data.differences.length === 0 ? (
        <p className="second">Nothing yet.</p>
      ) : (
        <ul className="rows">
          {differences.data.differences.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <details onToggle={(event) => setBeside(event.currentTarget.open)}>
        <summary>Side by side</summary>
        {beside && <SideBySide before={before.id} now={quote} />}
      </details>
    </div>
  );
}
