import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { useNewestProjects, useWaiting } from '../people/lists';
import { useToday } from '../shell/day';
import { Both } from './Both';
import { useCancelLookBack, useDryRun, useLookBack, useStartLookBack, type Offers } from './queries';
import { draft, triggerOf, type Editing } from './rule';

const SampleTrial = lazy(async () => ({ default: (await import('./SampleTrial')).SampleTrial }));

/** What the rule would do: to one submission, and over the last days. Nothing is changed. */
export function Trial({ rule, offers }: { rule: Editing; offers: Offers | undefined }) {
  const ofPlan = (offers && triggerOf(offers, rule.when)?.ofPlan) ?? true;
  return (
    <>
      <div className="pillar-head strong">
        <h2>Test</h2>
        <small>nothing is changed</small>
      </div>
      {ofPlan ? (
        <>
          <DryRun rule={rule} forms={offers?.forms ?? []} />
          <LookingBack rule={rule} />
        </>
      ) : (
        <OnProject rule={rule} />
      )}
    </>
  );
}

function DryRun({ rule, forms }: { rule: Editing; forms: Offers['forms'] }) {
  const [sample, setSample] = useState('');
  const rows = useWaiting().data?.pages[0]?.items ?? [];
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
      <p>
        <select aria-label="Made-up sample" value="" onChange={(event) => setSample(event.target.value)}>
          <option value="">or make one up …</option>
          {forms
            .filter((form) => rule.forms.length === 0 || rule.forms.includes(form.value))
            .map((form) => (
              <option key={form.value} value={form.value}>
                {form.label}
              </option>
            ))}
        </select>
      </p>
      {sample && (
        <Suspense fallback={null}>
          <SampleTrial key={sample} rule={rule} slug={sample} onClose={() => setSample('')} />
        </Suspense>
      )}
      {run.error && <Trouble title="Not tried">{run.error.message}</Trouble>}
      {run.data && <Both run={run.data} />}
    </section>
  );
}

/** A rule that waits for something to happen: as if it happened to one project now. */
function OnProject({ rule }: { rule: Editing }) {
  const projects = useNewestProjects();
  const rows = projects.data?.pages[0]?.items ?? [];
  const [chosen, setChosen] = useState('');
  const project = chosen || (rows[0]?.id ?? '');
  const run = useDryRun();
  return (
    <section className="trial particulars">
      <h3 className="group-label">As if it happened now to</h3>
      <p>
        <select aria-label="Project" value={project} onChange={(event) => setChosen(event.target.value)}>
          {rows.map((row) => (
            <option key={row.id} value={row.id}>
              {row.number} {row.title}, {row.client.label}
            </option>
          ))}
        </select>{' '}
        <Button
          size="small"
          variant="outlined"
          disabled={project === '' || run.isPending}
          onClick={() => run.mutate({ rule: draft(rule), project })}
        >
          Try it
        </Button>
      </p>
      {projects.error && <Trouble title="Not loaded">{projects.error.message}</Trouble>}
      {projects.isSuccess && rows.length === 0 && <p className="second">There is no project yet.</p>}
      {run.error && <Trouble title="Not tried">{run.error.message}</Trouble>}
      {run.data && <Both run={run.data} />}
    </section>
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
