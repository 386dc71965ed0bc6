import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { useSubmissions } from '../arrivals/queries';
import { useToday } from '../shell/day';
import { useCancelLookBack, useDryRun, useLookBack, useStartLookBack } from './queries';
import { draft, type Editing } from './rule';

/** What the rule would do: to one submission, and over the last days. Nothing is changed. */
export function Trial({ rule }: { rule: Editing }) {
  return (
    <>
      <div className="pillar-head strong">
        <h2>Before it counts</h2>
        <small>nothing is changed</small>
      </div>
      <DryRun rule={rule} />
      <LookingBack rule={rule} />
    </>
  );
}

function DryRun({ rule }: { rule: Editing }) {
  const list = useSubmissions('waiting');
  const rows = list.data?.pages.flatMap((page) => page.items) ?? [];
  const [chosen, setChosen] = useState('');
  const submission = chosen || (rows[0]?.id ?? '');
  const run = useDryRun();
  return (
    <section className="trial particulars">
      <h3 className="group-label">On one arrival</h3>
      <p>
        <select aria-label="Arrival" value={submission} onChange={(event) => setChosen(event.target.value)}>
          {rows.map((row) => (
            <option key={row.id} value={row.id}>
              {row.name}, {row.form.title}
            </option>
          ))}
        </select>{' '}
        <Button
          size="small"
          variant="outlined"
          disabled={submission === '' || run.isPending}
          onClick={() => run.mutate({ rule: draft(rule), submission })}
        >
          Try it
        </Button>
      </p>
      {run.error && <Trouble title="Not tried">{run.error.message}</Trouble>}
      {run.data && <Both run={run.data} />}
    </section>
  );
}

const sentence = (line: Schema<'PlanLine'>) => line.parts.map((part) => part.text).join('');

/** The two plans, line beside line; what only one of them has stands out. */
function Both({ run }: { run: Schema<'DryRun'> }) {
  const before = new Map(run.without.lines.map((line) => [line.key, line]));
  const after = new Map(run.with.lines.map((line) => [line.key, line]));
  const keys = [...new Set([...run.with.lines, ...run.without.lines].map((line) => line.key))];
  const changed = keys.filter((key) => {
    const [a, b] = [before.get(key), after.get(key)];
    return !a || !b || sentence(a) !== sentence(b) || a.note !== b.note || a.reason !== b.reason;
  });
  if (!run.holds) return <p>It does not hold for this one: the plan stays as it is.</p>;
  if (changed.length === 0) return <p>It holds, and changes nothing.</p>;
  return (
    <table className="both">
      <thead>
        <tr>
          <th scope="col">Without the rule</th>
          <th scope="col">With it</th>
        </tr>
      </thead>
      <tbody>
        {changed.map((key) => (
          <tr key={key}>
            <Cell line={before.get(key)} />
            <Cell line={after.get(key)} strong />
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={2} className="second">
            The other {keys.length - changed.length} lines stay as they are.
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function Cell({ line, strong = false }: { line: Schema<'PlanLine'> | undefined; strong?: boolean }) {
  return (
    <td>
      {line ? (
        <>
          {strong ? <b>{sentence(line)}</b> : sentence(line)}
          {line.note && <span className="second"> {line.note}</span>}
          {line.reason && <i className="second"> {line.reason}</i>}
        </>
      ) : (
        <span className="second">no such line</span>
      )}
    </td>
  );
}

function LookingBack({ rule }: { rule: Editing }) {
  const today = useToday();
  const start = useStartLookBack();
  const cancel = useCancelLookBack();
  const look = useLookBack(start.data?.id ?? null).data ?? start.data;
  return (
    <section className="trial">
      <h3 className="group-label">Look back</h3>
      <p>
        {([30, 90, 365] as const).map((days) => (
          <Button
            key={days}
            size="small"
            variant="outlined"
            disabled={start.isPending || look?.state === 'running'}
            onClick={() => start.mutate({ rule: draft(rule), days })}
          >
            {days} days
          </Button>
        ))}
      </p>
      {start.error && <Trouble title="Not begun">{start.error.message}</Trouble>}
      {look && (
        <div role="status">
          <p>
            {look.state === 'cancelled' && 'Stopped. '}
            It would have touched <b className="figures">{look.touched}</b> of{' '}
            <span className="figures">{look.state === 'done' ? look.total : look.done}</span>
            {look.state === 'running' && ` so far, of ${look.total}`}.{' '}
            {look.state === 'running' && (
              <button type="button" className="link-button" onClick={() => cancel.mutate(look.id)}>
                stop
              </button>
            )}
          </p>
          {look.state === 'running' && (
            <progress max={Math.max(1, look.total)} value={look.done} aria-label="Looked at" />
          )}
          {look.touched > 0 && <p className="second">Each would have got {look.lines.join(', ') || 'nothing'}.</p>}
          <ul className="look-list">
            {look.examples.map((one) => (
              <li key={one.id}>
                <Link to={`/arrivals/${one.id}`}>{one.label}</Link>{' '}
                <span className="second figures">{when(one.at, today)}</span>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
