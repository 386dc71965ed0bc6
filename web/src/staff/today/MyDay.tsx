import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { clockTime } from '../../shared/words';
import { Photographs } from '../shell/Photographs';
import { RecordFiles } from '../shell/RecordFiles';
import { useToast } from '../shell/Toast';
import { useMarkVisit, type Today } from './queries';
import { useVisit } from '../shell/asked';

/** One's own day, for a phone: the next visit whole, the others beneath it. */
export function MyDay({ today }: { today: Today }) {
  const next =
    today.visits.find((visit) => visit.endsAt >= today.now && visit.now !== 'missed' && visit.state !== 'held') ?? null;
  const others = today.visits.filter((visit) => visit !== next);
  if (today.visits.length === 0)
    return <Empty fact="No visit of yours today.">What is placed for you stands here.</Empty>;
  return (
    <section className="my-day" aria-label="My day">
      {next ? <Next id={next.id} today={today} /> : <p className="my-next">All of today’s visits are over.</p>}
      <ul>
        {others.map((visit) => (
          <li key={visit.id}>
            <span>{clockTime(visit.startsAt)}</span>
            <Link to={`/diary/${visit.id}`}>
              {visit.title}, {visit.who}
            </Link>
            {visit.now === 'done' ? (
              <Mark kind="done">done</Mark>
            ) : visit.now === 'missed' ? (
              <Mark kind="stopped">missed</Mark>
            ) : (
              <Mark kind="new">to come</Mark>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Next({ id, today }: { id: string; today: Today }) {
  const visit = useVisit(id);
  const mark = useMarkVisit();
  const toast = useToast();
  const one = visit.data;
  if (!one) return null;
  const begun = one.startsAt <= today.now;
  const set = (state: 'held' | 'missed') =>
    mark.mutate(
      { id, state },
      {
        onSuccess: () => toast({ words: state === 'held' ? 'Marked as held.' : 'Marked as missed.' }),
        onError: (error) => toast({ words: error.message }),
      },
    );
  return (
    <article className="my-next">
      <p className="second">
        {begun ? 'now' : 'next'}, {clockTime(one.startsAt)} to {clockTime(one.endsAt)}
        {one.roadBefore > 0 && `, ${one.roadBefore} min on the road`}
      </p>
      {one.wish && <p className="my-wish">The client asks: “{one.wish}”</p>}
      <h2>
        {one.title}, {one.who}
      </h2>
      {one.place && <p>{one.place}</p>}
      {one.notes && <p>{one.notes}</p>}
      <p className="my-stones">
        {one.phone && <a href={`tel:${one.phone}`}>Ring {one.phoneText}</a>}
        {one.project?.path && <Link to={one.project.path}>The project</Link>}
        {begun && (
          <>
            <Button variant="contained" disabled={mark.isPending} onClick={() => set('held')}>
              Held
            </Button>
            <Button variant="outlined" disabled={mark.isPending} onClick={() => set('missed')}>
              Nobody there
            </Button>
          </>
        )}
      </p>
      {one.answers.length > 0 && (
        <details>
          <summary>What was written</summary>
          <dl>
            {one.answers.map((answer) => (
              <div key={answer.label}>
                <dt>{answer.label}</dt>
                <dd>{answer.value}</dd>
              </div>
            ))}
          </dl>
        </details>
      )}
      {one.project && <Photographs project={one.project.id} />}
      <RecordFiles project={one.project?.id} client={one.client?.id} />
    </article>
  );
}
