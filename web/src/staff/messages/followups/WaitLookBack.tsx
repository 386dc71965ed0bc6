import { daysOf, lookBack } from './profile';
import { numbers, stepWords } from './series';
import type { Courses, FollowUp, List, Step } from './queries';

interface Props {
  step: Step;
  courses: Courses;
  /** As it is saved. */
  one: FollowUp;
  list: List;
}

/** What another wait would have meant for those who came to the step before it in the last 90 days. */
export function WaitLookBack({ step, courses, one, list }: Props) {
  const main = courses.main ?? [];
  const place = main.findIndex((each) => each.key === step.key);
  const before = main.slice(0, place).findLast((each) => each.kind === 'send');
  const after = main.slice(place).find((each) => each.kind === 'send');
  const curve = one.figures.find((each) => each.key === before?.key)?.curve;
  const typed = step.amount ?? 1;
  if (place < 0 || !before || !after || !curve || curve.cases === 0 || !Number.isInteger(typed) || typed < 1)
    return null;
  const unit = step.unit ?? 'days';
  const saved = (one.courses.main ?? []).find((each) => each.key === step.key);
  const was = saved && (saved.unit ?? 'days') === unit ? (saved.amount ?? 1) : typed;
  const amounts = [...new Set([typed - 1, typed, typed + 1, was])].filter((amount) => amount > 0).sort((a, b) => a - b);
  const number = numbers(courses);
  const note = (amount: number) =>
    amount === was ? (was === typed ? '' : ', was') : amount === typed ? ', as typed' : '';
  return (
    <table className="look-back figures">
      <caption>
        waiting before {number.get(after.key)}, of the {curve.cases} who got {number.get(before.key)} in 90 days
      </caption>
      <thead>
        <tr>
          <td />
          <th scope="col">would get it</th>
          <th scope="col">had answered</th>
        </tr>
      </thead>
      <tbody>
        {amounts.map((amount) => {
          const { gets, answered } = lookBack(curve, daysOf(amount, unit));
          return (
            <tr key={amount} className={amount === typed ? 'typed' : undefined}>
              <th scope="row">
                {stepWords({ ...step, amount, at: '', named: false }, list, courses)}
                {note(amount)}
              </th>
              <td>{gets}</td>
              <td>{answered}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
