import { ProblemError } from '../../../shared/api';
import { Mark } from '../../../shared/Mark';
import { moment } from '../../../shared/words';
import { useKey, useLetters } from '../../keys';
import { ChoiceBlocks } from '../../shell/ChoiceBlocks';
import { stepWords } from './series';
import { useRehearsal, type Courses, type List, type Says } from './queries';
import type { Wound } from './useWound';

const answers: { value: Says; hotkey: string; label: string }[] = [
  { value: 'yes', hotkey: '1', label: 'Yes' },
  { value: 'later', hotkey: '2', label: 'Later' },
  { value: 'question', hotkey: '3', label: 'Question' },
  { value: 'no', hotkey: '4', label: 'No' },
  { value: 'booked', hotkey: '5', label: 'Booking' },
  { value: 'form', hotkey: '6', label: 'Form' },
  { value: 'stop', hotkey: '7', label: 'Stop' },
];

const shown = (iso: string) => moment(iso).toFormat('ccc d LLLL, HH:mm');

/** The series on a clock that is wound forward: what leaves when, and what an answer then would do. */
export function DryRun({ courses, list, wound }: { courses: Courses; list: List; wound: Wound }) {
  const { start, clock, answered, setClock, setAnswered } = wound;
  const run = useRehearsal(courses, start, answered?.at ?? '', answered?.says ?? 'stop');
  const acts = run.data ?? [];
  const times = [...new Set(acts.map((act) => act.at))];
  const wind = (to: string | undefined) => {
    if (to === undefined) return;
    setClock(to);
    if (answered && to < answered.at) setAnswered(null);
  };
  const next = () => wind(times.find((at) => moment(at) > moment(clock)));
  const back = () => wind(times.findLast((at) => moment(at) < moment(clock)) ?? start);
  const day = () => wind(moment(clock).plus({ days: 1 }).toISO({ suppressMilliseconds: true }) ?? undefined);
  const says = (what: Says) =>
    setAnswered(
      answered?.says === what
        ? null
        : { at: moment(clock).plus({ minutes: 1 }).toISO({ suppressMilliseconds: true }) ?? clock, says: what },
    );
  useKey('dayBefore', back);
  useKey('dayAfter', next);
  useKey('weekAfter', day);
  useLetters(
    answers.map((one) => one.hotkey),
    (key) => {
      const one = answers.find((each) => each.hotkey === key);
      if (one) says(one.value);
    },
  );
  const fault =
    run.error instanceof ProblemError ? (run.error.violations[0]?.message ?? run.error.message) : run.error?.message;
  return (
    <section aria-label="Dry run" className={run.isPlaceholderData || run.isError ? 'dry-run stale' : 'dry-run'}>
      <div className="pillar-head">
        <h2>Dry run</h2>
        <small>as if it began {shown(start)}</small>
      </div>
      <p className="dry-clock">
        <span>
          Clock <b className="clock-tag figures">{shown(clock)}</b>
        </span>
        <span className="dry-keys">
          <button type="button" onClick={back}>
            <kbd>[</kbd> Back
          </button>
          <button type="button" onClick={next}>
            <kbd>]</kbd> Next step
          </button>
          <button type="button" onClick={day}>
            <kbd>⇧]</kbd> 1 day
          </button>
        </span>
      </p>
      <p className="second">They write</p>
      <ChoiceBlocks
        label="They write"
        options={answers}
        chosen={answered?.says ?? null}
        onChoose={(value) => says(value as Says)}
      />
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <ol className="dry-acts">
        {acts.map((act, i) => {
          const gone = moment(act.at) <= moment(clock);
          const step = Object.values(courses)
            .flat()
            .find((one) => one.key === act.key);
          return (
            <li key={i} className={gone ? 'gone' : undefined}>
              <span className="figures">{shown(act.at)}</span>
              <span>{step ? stepWords(step, list, courses) : 'it ends'}</span>
              <Mark kind={act.kind === 'end' ? 'stopped' : gone ? 'done' : 'new'}>
                {act.kind === 'send' ? (act.asText ? 'text' : 'mail') : act.kind === 'end' ? 'end' : act.kind}
              </Mark>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
