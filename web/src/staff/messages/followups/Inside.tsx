import { useState } from 'react';
import { Link } from 'react-router';
import { Mark } from '../../../shared/Mark';
import { when } from '../../../shared/words';
import { stepWords } from './series';
import { useFollowUpAct, type FollowUp, type List } from './queries';
import { StopRun } from './StopRun';
import { useToast } from '../../shell/Toast';

interface Props {
  one: FollowUp;
  list: List;
  today: string;
}

/** Who stands where, and why; who began with an older version. */
export function Inside({ one, list, today }: Props) {
  const [all, setAll] = useState(false);
  const act = useFollowUpAct();
  const toast = useToast();
  const inside = one.runs.filter((run) => run.state !== 'ended');
  const ended = one.runs.filter((run) => run.state === 'ended');
  const old = inside.filter((run) => run.version < one.version).length;
  const bring = (gone: 'next' | 'stop' | 'keep') =>
    act.mutate(
      { what: 'bring', id: one.id, gone },
      {
        onSuccess: () => toast({ words: `Brought to version ${one.version}. U takes it back.` }),
        onError: (error) => toast({ words: error.message }),
      },
    );
  return (
    <section aria-label="Inside now">
      <div className="pillar-head">
        <h2>Inside now</h2>
        <small>{one.inside === 0 ? 'nobody' : one.inside}</small>
      </div>
      {old > 0 && (
        <div className="series-old">
          <p>
            {old} {old === 1 ? 'keeps' : 'keep'} an older version. Bring them to version {one.version}; who stands at a
            step that is gone
          </p>
          <p className="step-acts">
            <button type="button" disabled={act.isPending} onClick={() => bring('next')}>
              goes on with the next
            </button>
            <button type="button" disabled={act.isPending} onClick={() => bring('stop')}>
              is stopped
            </button>
            <button type="button" disabled={act.isPending} onClick={() => bring('keep')}>
              keeps the old one
            </button>
          </p>
        </div>
      )}
      <ul className="rows lines">
        {[...inside, ...(all ? ended : [])].map((run) => {
          const step = Object.values(one.courses)
            .flat()
            .find((each) => each.key === run.step);
          return (
            <li key={run.id}>
              <span className="line-top">
                <Link to={`/clients/${run.client.id}`}>{run.client.label}</Link>
                {run.state === 'ended' ? (
                  <Mark kind="stopped">ended</Mark>
                ) : (
                  <StopRun run={run.id} name={run.client.label} />
                )}
              </span>
              <small>
                {run.state === 'paused' && <Mark kind="waiting">waits</Mark>}{' '}
                {run.waitsFor?.path && <Link to={run.waitsFor.path}>{run.waitsFor.label}</Link>}{' '}
                {run.why ||
                  `${step ? stepWords(step, list, one.courses) : 'the end'}${run.dueAt ? `, ${when(run.dueAt, today)}` : ''}`}
              </small>
            </li>
          );
        })}
      </ul>
      {one.inside > inside.length && (
        <p className="second">and {one.inside - inside.length} more, begun before these</p>
      )}
      {ended.length > 0 && (
        <button type="button" className="link-button" onClick={() => setAll(!all)}>
          {all ? 'Only who is inside' : `${ended.length} ended in 90 days`}
        </button>
      )}
    </section>
  );
}
