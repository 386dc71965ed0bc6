import { Fragment } from 'react';
import { StepEditor } from './StepEditor';
import { WaitLookBack } from './WaitLookBack';
import { StepFigure } from './StepFigure';
import { kindWords, moved, newStep, numbers, stepWords } from './series';
import type { Course, Courses, FollowUp, List, Step } from './queries';

interface Props {
  course: Course;
  courses: Courses;
  list: List;
  one: FollowUp;
  chosen: string | null;
  faults: Record<string, string>;
  onChoose: (key: string | null) => void;
  onChange: (steps: Step[]) => void;
}

const shapes: Partial<Record<Step['kind'], string>> = {
  send: 'filled',
  task: 'open',
  notice: 'open',
  stage: 'hatched',
  tag: 'hatched',
};

/** The steps of a course downward, waits as measures between them; the chosen one is edited where it stands. */
export function CourseSteps({ course, courses, list, one, chosen, faults, onChoose, onChange }: Props) {
  const steps = courses[course] ?? [];
  const number = numbers(courses);
  const replace = (at: number, step: Step) => onChange(steps.map((one, i) => (i === at ? step : one)));
  return (
    <>
      {steps.map((step, i) => {
        const path = `courses.${course}.${i}`;
        const wrong = Object.keys(faults).some((one) => one.startsWith(`${path}.`));
        const figure = one.figures.find((each) => each.key === step.key);
        return (
          <Fragment key={step.key}>
            <div className={`series-step${step.key === chosen ? ' chosen' : ''}${wrong ? ' wrong' : ''}`}>
              <button
                type="button"
                className="series-name"
                aria-expanded={step.key === chosen}
                onClick={() => onChoose(step.key === chosen ? null : step.key)}
              >
                {step.kind === 'wait' ? (
                  <span className="measure" aria-hidden="true" />
                ) : (
                  <span className={`post ${shapes[step.kind] ?? 'end'}`} aria-hidden="true" />
                )}
                <span>
                  {step.kind === 'wait' ? (
                    <span className="second">wait </span>
                  ) : (
                    <b className="figures">{number.get(step.key)} </b>
                  )}
                  {stepWords(step, list, courses)}
                </span>
              </button>
              {figure && <StepFigure figure={figure} sends={step.kind === 'send'} />}
              {step.key === chosen && (
                <>
                  <StepEditor
                    step={step}
                    courses={courses}
                    list={list}
                    fault={(field) => faults[`${path}.${field}`]}
                    onChange={(next) => replace(i, next)}
                  />
                  {step.kind === 'wait' && course === 'main' && (
                    <WaitLookBack step={step} courses={courses} one={one} list={list} />
                  )}
                  <p className="step-acts">
                    <button type="button" disabled={i === 0} onClick={() => onChange(moved(steps, i, i - 1))}>
                      Up <kbd aria-hidden="true">Alt ↑</kbd>
                    </button>
                    <button
                      type="button"
                      disabled={i === steps.length - 1}
                      onClick={() => onChange(moved(steps, i, i + 1))}
                    >
                      Down <kbd aria-hidden="true">Alt ↓</kbd>
                    </button>
                    <button type="button" onClick={() => onChange(steps.filter((_, at) => at !== i))}>
                      Remove <kbd aria-hidden="true">Del</kbd>
                    </button>
                  </p>
                </>
              )}
            </div>
          </Fragment>
        );
      })}
      <p className="series-add">
        <label>
          <span className="second">{steps.length === 0 ? 'Ends here. ' : ''}Add </span>
          <select
            aria-label="Add a step"
            value=""
            onChange={(event) => {
              const step = newStep(event.target.value as Step['kind'], courses, list);
              onChange([...steps, step]);
              onChoose(step.key);
            }}
          >
            <option value="">a step…</option>
            {(Object.keys(kindWords) as Step['kind'][])
              .filter((kind) => kind !== 'stop')
              .map((kind) => (
                <option key={kind} value={kind}>
                  {kindWords[kind]}
                </option>
              ))}
          </select>
        </label>
      </p>
    </>
  );
}
