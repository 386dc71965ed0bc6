import { courseOrder, courseWords, kindWords, stepWords } from './series';
import type { Courses, List, Step } from './queries';

interface Props {
  step: Step;
  courses: Courses;
  list: List;
  fault: (field: string) => string | undefined;
  onChange: (step: Step) => void;
}

/** What a step does, in edit: one sentence, its values in it. */
export function StepEditor({ step, courses, list, fault, onChange }: Props) {
  const words = (field: 'what' | 'at', label: string, wide = true) => (
    <input
      aria-label={label}
      className={wide ? 'wide' : undefined}
      value={step[field] ?? ''}
      onChange={(event) => onChange({ ...step, [field]: event.target.value })}
    />
  );
  const choice = (field: 'what' | 'who', label: string, options: { value: string; label: string }[]) => (
    <select
      aria-label={label}
      value={step[field] ?? ''}
      onChange={(event) => onChange({ ...step, [field]: event.target.value })}
    >
      {!options.some((one) => one.value === (step[field] ?? '')) && <option value={step[field] ?? ''}>choose…</option>}
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
  const number = (field: 'amount' | 'days', label: string) => (
    <input
      type="number"
      aria-label={label}
      min={field === 'amount' ? 1 : 0}
      value={step[field] ?? 0}
      onChange={(event) => onChange({ ...step, [field]: Number(event.target.value) })}
    />
  );
  const wrong = ['what', 'amount', 'unit', 'at', 'key', 'kind'].map(fault).find(Boolean);
  return (
    <div className="step-editor">
      {step.kind === 'send' && (
        <p>
          Send {choice('what', 'Template', list.templates)} as{' '}
          <select
            aria-label="By what"
            value={step.asText ? 'text' : 'mail'}
            onChange={(event) => onChange({ ...step, asText: event.target.value === 'text' })}
          >
            <option value="mail">a mail</option>
            <option value="text">a text, or else a mail</option>
          </select>
        </p>
      )}
      {step.kind === 'wait' && (
        <p>
          Wait {number('amount', 'How long')}{' '}
          <select
            aria-label="Unit"
            value={step.unit ?? 'days'}
            onChange={(event) => onChange({ ...step, unit: event.target.value as NonNullable<Step['unit']> })}
          >
            <option value="hours">hours</option>
            <option value="days">days</option>
            <option value="working-days">working days</option>
          </select>
          , then until {words('at', 'Time of day', false)} <span className="second">as 10:00, or nothing</span>
        </p>
      )}
      {step.kind === 'wait' && (courses.later ?? []).some((one) => one.key === step.key) && (
        <p>
          <label>
            <input
              type="checkbox"
              checked={step.named ?? false}
              onChange={(event) => onChange({ ...step, named: event.target.checked })}
            />{' '}
            until the day that they name, where they name one
          </label>
        </p>
      )}
      {step.kind === 'task' && (
        <p>
          Give{' '}
          {choice('who', 'Who', [
            { value: 'lead', label: 'the lead' },
            { value: 'coordinator', label: 'the coordinator' },
          ])}{' '}
          the task {words('what', 'Task')} due in {number('days', 'Working days')} working days
        </p>
      )}
      {step.kind === 'notice' && (
        <p>
          Tell staff {words('what', 'What they are told')} in the room{' '}
          {choice('who', 'Room', [{ value: '', label: 'Desk' }])}
        </p>
      )}
      {step.kind === 'times' && <p>Send a link to the times of {choice('what', 'Booking page', list.pages)}</p>}
      {step.kind === 'form' && (
        <p>
          Send a link to the form {choice('what', 'Form', list.forms)}{' '}
          <span className="second">it does not ask again who they are</span>
        </p>
      )}
      {step.kind === 'quote' && (
        <p>
          Send the quote that is drafted for the project{' '}
          <span className="second">where none is, or something is missing in it, staff are told</span>
        </p>
      )}
      {step.kind === 'stage' && <p>Move the project to {choice('what', 'Stage', list.stages)}</p>}
      {step.kind === 'tag' && <p>Tag the client {words('what', 'Tag')}</p>}
      {step.kind === 'go-on' && (
        <p>
          {kindWords['go-on']}{' '}
          {choice(
            'what',
            'Step',
            courseOrder.flatMap((course) =>
              (courses[course] ?? [])
                .filter((one) => one.key !== step.key)
                .map((one) => ({ value: one.key, label: `${courseWords[course]}: ${stepWords(one, list, courses)}` })),
            ),
          )}
        </p>
      )}
      {step.kind === 'stop' && <p>It ends here.</p>}
      {wrong && (
        <p className="fault" role="alert">
          {wrong}
        </p>
      )}
    </div>
  );
}
