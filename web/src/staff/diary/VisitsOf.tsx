import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { clockTime, shortDay } from '../../shared/words';
import { Allowed } from '../shell/Allowed';
import { useToday } from '../shell/day';
import { SectionRows } from '../shell/SectionRows';
import { ChooseLink } from './ChooseLink';
import { useVisitsOf, type Visit } from './queries';
import { dayOf } from './weeks';

export function VisitsOfClient({ id, name }: { id: string; name: string }) {
  return <VisitsOf of="client" id={id} name={name} />;
}

export function VisitsOfProject({ id, name }: { id: string; name: string }) {
  return <VisitsOf of="project" id={id} name={name} />;
}

/** Every visit of a client or a project: the next first. */
function VisitsOf({ of, id, name }: { of: 'client' | 'project'; id: string; name: string }) {
  const list = useVisitsOf(of, id);
  const today = useToday();
  return (
    <>
      <SectionRows
        title="Visits"
        small={
          <Allowed to="diary.keep">
            <Link to={`/diary?new=1&${of}=${id}`}>Place a visit</Link>
          </Allowed>
        }
        list={list.data ? { ...list, data: { items: list.data.items, next: list.data.more ? 'more' : null } } : list}
        empty={<Empty fact="No visit yet.">Place one, or let {name} choose a time.</Empty>}
      >
        {(visits) => (
          <ul className="rows lines">
            {visits.map((visit) => (
              <li key={visit.id}>
                <span className="line-top">
                  <Link to={`/diary/${visit.id}?day=${dayOf(visit.startsAt)}`}>{visit.title}</Link>
                  <StateMark visit={visit} />
                </span>
                <small>
                  {shortDay(dayOf(visit.startsAt), today)}, {clockTime(visit.startsAt)} to {clockTime(visit.endsAt)},{' '}
                  {visit.staff.name}
                  {visit.movedFrom && (
                    <>
                      {'; moved, was '}
                      <s>
                        {shortDay(dayOf(visit.movedFrom), today)}, {clockTime(visit.movedFrom)}
                      </s>
                    </>
                  )}
                </small>
              </li>
            ))}
          </ul>
        )}
      </SectionRows>
      <Allowed to="diary.keep">
        <ChooseLink of={of} id={id} />
      </Allowed>
    </>
  );
}

function StateMark({ visit }: { visit: Visit }) {
  switch (visit.state) {
    case 'offered':
      return <Mark kind="waiting">no yes yet</Mark>;
    case 'held':
      return <Mark kind="done">held</Mark>;
    case 'missed':
      return <Mark kind="stopped">missed</Mark>;
    case 'cancelled':
      return <Mark kind="stopped">cancelled</Mark>;
    default:
      return <span className="second">{visit.wish ? 'wants a change' : ''}</span>;
  }
}
