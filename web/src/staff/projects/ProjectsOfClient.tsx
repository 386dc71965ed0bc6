import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Empty } from '../../shared/Notice';
import { shortDay } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { Bricks } from '../shell/Bricks';
import { useToday } from '../shell/day';
import { SectionRows } from '../shell/SectionRows';

/** The projects of a client. */
export function ProjectsOfClient({ id, name }: { id: string; name: string }) {
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.projectsOf(id),
    queryFn: () => need(api.GET('/api/projects', { params: { query: { client: id } } })),
  });
  const open =
    list.data?.items.filter((project) => project.outcome === 'open' && project.tasksDone < project.tasks).length ?? 0;
  const next = useQuery({
    queryKey: queryKeys.nextOf(id),
    queryFn: async () => (await need(api.GET('/api/clients/{id}/next', { params: { path: { id } } }))).items,
  });
  return (
    <>
      {next.data && next.data.length > 0 && (
        <p className="client-next">
          <b>Next</b>{' '}
          {next.data.map((task) => (
            <span key={task.id}>
              {task.name}, <span className={task.late ? 'late' : undefined}>{shortDay(task.due, today)}</span>
              {task.project.path && (
                <>
                  {' '}
                  after <Link to={task.project.path}>{task.project.label}</Link>
                </>
              )}{' '}
            </span>
          ))}
        </p>
      )}
      <SectionRows
        title="Projects"
        small={
          <>
            {open > 0 && `${open} under way `}
            <Link to={`/projects/new?client=${id}`}>Add project</Link>
          </>
        }
        list={list}
        empty={<Empty fact="No project yet.">One opens when you accept a plan for {name}.</Empty>}
      >
        {(projects) => (
          <ul className="rows lines">
            {projects.map((project) => (
              <li key={project.id}>
                <span className="line-top">
                  <Link to={`/projects/${project.id}`}>{project.title}</Link>
                  {project.outcome !== 'open' ? (
                    <Mark kind={project.outcome === 'won' ? 'done' : 'stopped'}>{project.outcome}</Mark>
                  ) : project.tasks > 0 && project.tasksDone === project.tasks ? (
                    <Mark kind="done">done</Mark>
                  ) : (
                    <span className="second">{project.readyBy ? `by ${shortDay(project.readyBy, today)}` : ''}</span>
                  )}
                </span>
                <small>
                  {project.number}, {project.stage}, {project.tasksDone} of {project.tasks} tasks
                </small>
                <Bricks done={project.tasksDone} all={project.tasks} />
              </li>
            ))}
          </ul>
        )}
      </SectionRows>
    </>
  );
}
