import { useId, useState } from 'react';
import { Link } from 'react-router';
import type { FollowUp } from './queries';

type Figure = FollowUp['figures'][number];

const outcomes: Record<Figure['people'][number]['outcome'], string> = {
  none: '',
  answered: 'wrote back',
  booked: 'booked',
  form: 'filled in a form',
};

/** What a step did in 90 days, in a line that opens to the people it counts. */
export function StepFigure({ figure, sends }: { figure: Figure; sends: boolean }) {
  const [open, setOpen] = useState(false);
  const list = useId();
  const words = sends
    ? `${figure.done} sent, ${figure.answered} wrote back${figure.booked ? `, ${figure.booked} booked` : ''}${figure.forms ? `, ${figure.forms} filled in a form` : ''}`
    : `${figure.done} ${figure.done === 1 ? 'time' : 'times'}`;
  const more = figure.done - figure.people.length;
  return (
    <>
      <button
        type="button"
        className="link-button series-figure figures"
        aria-expanded={open}
        aria-controls={list}
        onClick={() => setOpen(!open)}
      >
        {words}
      </button>
      {open && (
        <ul id={list} className="series-people" aria-label={words}>
          {figure.people.map((one) => (
            <li key={one.run}>
              <Link to={`/clients/${one.client.id}`}>{one.client.label}</Link>
              {one.outcome !== 'none' && <span className="second">{outcomes[one.outcome]}</span>}
            </li>
          ))}
          {more > 0 && <li className="second">and {more} more</li>}
        </ul>
      )}
    </>
  );
}
