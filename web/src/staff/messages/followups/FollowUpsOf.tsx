import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need } from '../../../shared/api';
import { Mark } from '../../../shared/Mark';
import { when } from '../../../shared/words';
import { queryKeys } from '../../queryKeys';
import './followups.css';
import { useToday } from '../../shell/day';
import { SectionRows } from '../../shell/SectionRows';
import { useToast } from '../../shell/Toast';
import { useFollowUpAct, useFollowUps, useRunsOf } from './queries';
import { StopRun } from './StopRun';

/** The follow-ups of a client, and whether anything unasked may be sent to them. */
export function FollowUpsOfClient({ id, name }: { id: string; name: string }) {
  const today = useToday();
  const runs = useRunsOf(id);
  const list = useFollowUps();
  const act = useFollowUpAct();
  const toast = useToast();
  const queries = useQueryClient();
  const stops = useQuery({
    queryKey: queryKeys.stops(id),
    queryFn: async () => (await need(api.GET('/api/stops', { params: { query: { client: id } } }))).items,
  });
  const allow = useMutation({
    mutationFn: (stopped: boolean) => need(api.POST('/api/stops', { body: { client: id, stopped } })),
    onSettled: () => queries.invalidateQueries(),
  });
  const fail = (error: Error) => toast({ words: error.message });
  const stopped = stops.data?.[0];
  return (
    <>
      <SectionRows title="Follow-ups" small="" list={runs} empty={<p className="nothing second">None.</p>}>
        {(items) => (
          <ul className="rows lines">
            {items.slice(0, 6).map((run) => (
              <li key={run.id}>
                <span className="line-top">
                  <Link to={`/messages/follow-ups/${run.followUp.id}`}>{run.followUp.name}</Link>
                  {run.state === 'ended' ? <Mark kind="stopped">ended</Mark> : <StopRun run={run.id} name={name} />}
                </span>
                <small>
                  {run.why || (run.dueAt ? `goes on ${when(run.dueAt, today)}` : '')}, begun{' '}
                  {when(run.startedAt, today)} {run.startedBy}
                  {run.log.length > 0 && `; ${run.log.at(-1)?.words ?? ''}`}
                </small>
              </li>
            ))}
          </ul>
        )}
      </SectionRows>
      {stopped ? (
        <p className="stopped-line">
          <Mark kind="stopped">left alone</Mark> Nothing unasked to {stops.data?.map((one) => one.address).join(', ')}{' '}
          since {when(stopped.at, today)}, {stopped.way}.{' '}
          <button
            type="button"
            className="link-button"
            disabled={allow.isPending}
            onClick={() => allow.mutate(false, { onError: fail })}
          >
            They want to hear again
          </button>
        </p>
      ) : (
        <p className="follow-begin">
          <label>
            <span className="second">Begin </span>
            <select
              aria-label={`Begin a follow-up with ${name}`}
              value=""
              disabled={act.isPending}
              onChange={(event) =>
                act.mutate(
                  { what: 'begin', id: event.target.value, client: id, project: '' },
                  { onSuccess: () => toast({ words: `Begun with ${name}. U takes it back.` }), onError: fail },
                )
              }
            >
              <option value="">a follow-up…</option>
              {(list.data?.items ?? []).map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </select>
          </label>{' '}
          <button
            type="button"
            className="link-button"
            disabled={allow.isPending}
            onClick={() => allow.mutate(true, { onError: fail })}
          >
            Leave them alone
          </button>
        </p>
      )}
    </>
  );
}
