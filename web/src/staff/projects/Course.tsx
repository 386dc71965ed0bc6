import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Bricks } from '../shell/Bricks';

/** The stages of a project as a course of stones: what is done, where it stands, what comes. */
export function Course({ project, onMove }: { project: Schema<'Project'>; onMove: (stage: string) => void }) {
  return (
    <ol className="course" aria-label="Stages">
      {project.stages.map((stage) => (
        <li
          key={stage.name}
          className={`course-${stage.state}`}
          aria-current={stage.state === 'now' ? 'step' : undefined}
        >
          {stage.state === 'now' ? (
            <>
              <span>
                <b>{stage.name}, now</b>
                <small>
                  {project.tasksDone} of {project.tasks} tasks done
                </small>
              </span>
              <Bricks done={project.tasksDone} all={project.tasks} />
            </>
          ) : (
            <button
              type="button"
              aria-label={`Move to ${stage.name}`}
              title={`Move to ${stage.name}`}
              onClick={() => onMove(stage.name)}
            >
              <Mark kind={stage.state === 'done' ? 'done' : stage.state === 'skipped' ? 'stopped' : 'new'}>
                {stage.state === 'skipped' ? `${stage.name}, skipped` : stage.name}
              </Mark>
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}
