import { kinds } from '../../form/kinds';
import { designed, type DraftQuestion, type Kind, type PriorityPart } from '../definition/design';

interface Props {
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}

const parts: Record<PriorityPart, string> = {
  need: 'how much they need it',
  budget: 'what they can spend',
  authority: 'whether they decide',
  start: 'how soon they want it',
};
const usual: Partial<Record<Kind, PriorityPart>> = { money: 'budget', 'yes-no': 'authority', day: 'start' };

/** Whether a question of this kind can count towards priority. */
export const canCount = (kind: Kind): boolean => designed(kind).counts !== undefined;

/** What the answers count: of two arrivals that are as late, the one with more points comes first. */
export function PointsEditor({ question, onChange }: Props) {
  const points = question.points;
  const offered = designed(question.type).counts === 'choice' ? kinds[question.type].offered(question) : undefined;
  const set = (steps: { at: string; points: number }[]) => points && onChange({ points: { ...points, steps } });
  return (
    <div>
      <dt>Counts</dt>
      <dd>
        <select
          aria-label="Counts for"
          value={points?.part ?? ''}
          onChange={(event) => {
            const part = event.target.value as PriorityPart | '';
            onChange({
              points:
                part === ''
                  ? undefined
                  : {
                      part,
                      steps: points?.steps ??
                        offered?.map(({ value }) => ({ at: value, points: 0 })) ?? [{ at: '', points: 1 }],
                    },
            });
          }}
        >
          <option value="">not towards priority</option>
          {Object.entries(parts).map(([part, words]) => (
            <option key={part} value={part}>
              {words}
              {usual[question.type] === part ? ' (usual)' : ''}
            </option>
          ))}
        </select>
        {points && offered && (
          <ul className="points-list">
            {offered.map((option) => (
              <li key={option.value}>
                <span>{option.label}</span>{' '}
                <Count
                  name={`Points for ${option.label}`}
                  value={points.steps.find((step) => step.at === option.value)?.points ?? 0}
                  onChange={(count) =>
                    set([
                      ...points.steps.filter((step) => step.at !== option.value),
                      { at: option.value, points: count },
                    ])
                  }
                />
              </li>
            ))}
          </ul>
        )}
        {points && !offered && <Steps question={question} steps={points.steps} onChange={set} />}
      </dd>
    </div>
  );
}

interface StepsProps {
  question: DraftQuestion;
  steps: { at: string; points: number }[];
  onChange: (steps: { at: string; points: number }[]) => void;
}

function Steps({ question, steps, onChange }: StepsProps) {
  const isDay = designed(question.type).counts === 'days';
  return (
    <ul className="points-list">
      {steps.map((step, i) => (
        <li key={i}>
          {isDay ? 'within ' : 'from '}
          <input
            aria-label={isDay ? 'Within days' : 'From'}
            className="figures short"
            inputMode="numeric"
            value={step.at}
            onChange={(event) => onChange(steps.map((one, n) => (n === i ? { ...one, at: event.target.value } : one)))}
          />
          {isDay ? ' days: ' : ': '}
          <Count
            name="Points"
            value={step.points}
            onChange={(points) => onChange(steps.map((one, n) => (n === i ? { ...one, points } : one)))}
          />{' '}
          <button type="button" className="link-button" onClick={() => onChange(steps.filter((_, n) => n !== i))}>
            remove
          </button>
        </li>
      ))}
      <li>
        <button type="button" className="link-button" onClick={() => onChange([...steps, { at: '', points: 1 }])}>
          add a step
        </button>
      </li>
    </ul>
  );
}

function Count({ name, value, onChange }: { name: string; value: number; onChange: (value: number) => void }) {
  return (
    <>
      <input
        aria-label={name}
        type="number"
        min={0}
        max={100}
        value={value}
        onChange={(event) => onChange(Math.max(0, Math.min(100, Math.round(Number(event.target.value)) || 0)))}
      />{' '}
      points
    </>
  );
}
