import { lazy, Suspense, Fragment, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { RecordLink } from '../shell/RecordLink';
import { MarkShape } from '../../shared/Mark';
import { ChoiceBlocks } from '../shell/ChoiceBlocks';
import { keysAreOff, useLetters } from '../keys';
import { isUnsaved } from '../shell/useUnsaved';
import { AddLines } from './AddLines';
import { AnotherClient } from './AnotherClient';
import type { Deciding, Plan, PlanLine } from './deciding';
import { Compared } from './Compared';
import { EditLine } from './EditLine';
import { nowhere, showAnswer, useLooking } from './looking';
import './plan.css';

const MailAhead = lazy(async () => ({ default: (await import('./MailAhead')).MailAhead }));

interface Props {
  plan: Plan;
  onDecide: (key: string, value: string) => void;
  /** What stands above it, where nothing of it can be accepted yet. */
  heading?: string;
  /** So many seconds mail waits after acceptance. */
  hold?: number;
  /** What may be changed beside the choices; nothing where the plan is only shown. */
  deciding?: Deciding;
}

/** The plan line by line: what will happen, where each value came from, and what needs a choice. */
export function PlanView({ plan, heading, hold = 0, onDecide, deciding }: Props) {
  const choices = plan.lines.flatMap((line) => (line.choice ? [line.choice] : []));
  // An open choice is asked before one that only could be changed.
  const inOrder = [...choices.filter((choice) => choice.open), ...choices.filter((choice) => !choice.open)];
  useLetters(
    [...new Set(inOrder.flatMap((choice) => choice.options.map((option) => option.hotkey)).filter(Boolean))],
    (letter) => {
      for (const choice of inOrder) {
        const option = choice.options.find((one) => one.hotkey === letter);
        if (option) {
          onDecide(choice.key, option.value);
          return;
        }
      }
    },
  );
  return (
    <>
      <div className="pillar-head strong">
        <h2>{heading ?? 'The plan'}</h2>
        <small className="plan-hint">
          {plan.lines.length} lines. Small numbers point to the answer a value came from.
        </small>
      </div>
      <ol className="plan">
        {plan.lines.map((line, i) => (
          <Line
            key={line.key}
            line={line}
            first={plan.lines[i - 1]?.group !== line.group}
            onDecide={onDecide}
            deciding={deciding}
          />
        ))}
      </ol>
      {deciding && <AddLines id={deciding.id} onAdd={deciding.add} />}
      {!heading && (
        <p className="plan-foot second">
          Nothing is saved or sent until you accept.{' '}
          {hold > 0 ? `Mail leaves ${hold} seconds after that; until then Undo stops it.` : 'Mail leaves at once.'}
        </p>
      )}
    </>
  );
}

interface LineProps {
  line: PlanLine;
  first: boolean;
  onDecide: Props['onDecide'];
  deciding: Deciding | undefined;
}

function Line({ line, first, onDecide, deciding }: LineProps) {
  const unsaved = `${deciding?.id ?? ''}.line.${line.key}`;
  const [editing, setEditing] = useState(() => isUnsaved(unsaved));
  const [reading, setReading] = useState(false);
  const { at, look } = useLooking();
  const open = line.choice?.open ?? false;
  // The keys that are printed on the line in focus; not while something in it is typed in.
  const onLineKey = (event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (!deciding || editing || keysAreOff() || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key.toLowerCase() === 'e' && line.fields.length > 0) setEditing(true);
    else if (event.key === 'Delete' && line.canDrop) (line.dropped ? deciding.putBack : deciding.drop)(line.key);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const answers = line.parts.flatMap((part) => (part.answer ? [part.answer] : []));
  const shown = at.line === line.key || (at.line === null && at.answer !== null && answers.includes(at.answer));
  const name = ['line', first ? 'first' : '', open ? 'decide' : '', shown ? 'shown' : '', line.dropped ? 'dropped' : '']
    .filter(Boolean)
    .join(' ');
  const number = (answer: number | null) =>
    answer !== null && (
      <>
        {/* A link, as text, and joined: it never falls onto a line of its own, away from its word. */}
        {'\u2060'}
        <a
          href={`#answer-${answer}`}
          className="source"
          aria-label={`from answer ${answer}`}
          onMouseEnter={() => look({ answer, line: line.key })}
          onMouseLeave={() => look(nowhere)}
          onFocus={() => look({ answer, line: line.key })}
          onBlur={() => look(nowhere)}
          onClick={(event) => {
            event.preventDefault();
            showAnswer(answer);
          }}
        >
          {answer}
        </a>
      </>
    );
  return (
    <li
      className={name}
      data-line={line.key}
      data-answers={answers.join(' ')}
      tabIndex={deciding ? 0 : open ? -1 : undefined}
      onKeyDown={onLineKey}
    >
      <span className="line-group">
        {open ? (
          <span className="mark choose">
            <MarkShape kind="choose" />
            Decide
          </span>
        ) : (
          first && <span className="group-name">{line.group}</span>
        )}
      </span>
      <span className="line-number figures">{line.number}</span>
      <div className="line-words">
        <p className="line-sentence">
          {line.parts.map((part, i) => (
            <Fragment key={i}>
              {part.record ? (
                <>
                  <RecordLink record={part.record}>{part.text}</RecordLink>
                  {number(part.answer)}
                </>
              ) : part.value ? (
                <>
                  <span
                    className="line-value"
                    onMouseEnter={part.answer ? () => look({ answer: part.answer, line: line.key }) : undefined}
                    onMouseLeave={part.answer ? () => look(nowhere) : undefined}
                  >
                    {part.text}
                  </span>
                  {number(part.answer)}
                </>
              ) : (
                part.text
              )}
            </Fragment>
          ))}
        </p>
        {line.note && <p className="second">{line.note}</p>}
        {reading && deciding && (
          <Suspense fallback={null}>
            <MailAhead submission={deciding.id} line={line.key} />
          </Suspense>
        )}
        {editing && deciding && (
          <EditLine
            name={unsaved}
            fields={line.fields}
            onKeep={(values) => {
              setEditing(false);
              deciding.edit(line.key, values);
            }}
            onCancel={() => setEditing(false)}
          />
        )}
      </div>
      {(line.reason || line.amended || deciding) && (
        <span className="line-reason">
          <span className="reason-words">
            {!deciding && line.leads ? (
              <Link to={leadsTo(line.leads)}>{line.reason}</Link>
            ) : line.amended ? (
              'changed by hand'
            ) : (
              line.reason
            )}
          </span>
          {deciding && !editing && (
            <LineActs
              line={line}
              deciding={deciding}
              onEdit={() => setEditing(true)}
              onRead={line.group === 'Messages' && !line.dropped ? () => setReading(!reading) : undefined}
            />
          )}
        </span>
      )}
      {line.key === 'client' && deciding && <AnotherClient onChoose={(id) => onDecide('client', id)} />}
      {(line.choice ?? line.compared.length > 0) && (
        <div className={line.compared.length > 0 ? 'line-more wider' : 'line-more'}>
          {line.choice && (
            <ChoiceBlocks
              label={`Line ${line.number}`}
              options={line.choice.options}
              chosen={line.choice.chosen}
              open={open}
              onChoose={(value) => onDecide(line.choice?.key ?? '', value)}
            />
          )}
          {line.compared.length > 0 && <Compared line={line} />}
        </div>
      )}
    </li>
  );
}

const led = { rule: 'the rule', service: 'the service', checklist: 'the checklist', text: 'the text' } as const;

/** Where a reason stands, and can be changed. */
function leadsTo({ kind, id }: NonNullable<PlanLine['leads']>): string {
  if (kind === 'checklist') return `/checklists/${id}`;
  if (kind === 'text') return `/messages/templates/${id}`;
  return kind === 'rule' ? `/rules/${id}` : `/setup?show=${encodeURIComponent(`${kind}.${id}`)}`;
}

interface ActsProps {
  line: PlanLine;
  deciding: Deciding;
  onEdit: () => void;
  /** Shows what a mail says; nothing where the line sends none. */
  onRead: (() => void) | undefined;
}

/** What can be done with a line; shown while it is pointed at or in focus. */
function LineActs({ line, deciding, onEdit, onRead }: ActsProps) {
  const what = line.parts.map((part) => part.text).join('');
  if (!line.canDrop && line.fields.length === 0 && !line.leads && !onRead) return null;
  return (
    <span className="line-acts">
      {line.leads && (
        <Link to={leadsTo(line.leads)} aria-label={`${led[line.leads.kind]} behind it: ${line.reason}`}>
          {led[line.leads.kind]}
        </Link>
      )}
      {onRead && (
        <button type="button" className="link-button" aria-label={`what it says: ${what}`} onClick={onRead}>
          what it says
        </button>
      )}
      {line.fields.length > 0 && (
        <button type="button" className="link-button" aria-label={`edit: ${what}`} onClick={onEdit}>
          edit <kbd aria-hidden="true">E</kbd>
        </button>
      )}
      {line.canDrop && (
        <button
          type="button"
          className="link-button"
          aria-label={`${line.dropped ? 'put back' : 'leave out'}: ${what}`}
          onClick={() => (line.dropped ? deciding.putBack(line.key) : deciding.drop(line.key))}
        >
          {line.dropped ? 'put back' : 'leave out'} <kbd aria-hidden="true">Del</kbd>
        </button>
      )}
    </span>
  );
}

/** Moves the eyes and the focus to the first line that waits for a choice. */
export function useGoToDecision(plan: Plan | null): () => void {
  const latest = useRef(plan);
  useEffect(() => {
    latest.current = plan;
  });
  return () => {
    const line = latest.current?.lines.find((one) => one.choice?.open);
    const element = line ? document.querySelector<HTMLElement>(`[data-line="${CSS.escape(line.key)}"]`) : null;
    element?.scrollIntoView({ block: 'center' });
    element?.querySelector<HTMLElement>('.choice button')?.focus();
  };
}
