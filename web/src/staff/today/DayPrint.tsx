import { clockTime, longDay } from '../../shared/words';
import type { Today } from './queries';

/** The day on paper: who goes where, whom to ring, and what is due. */
export function DayPrint({ today }: { today: Today }) {
  return (
    <div className="day-print">
      <h2>{longDay(today.day)}</h2>
      <table>
        <tbody>
          {today.visits.map((visit) => (
            <tr key={visit.id}>
              <td>
                {clockTime(visit.startsAt)} to {clockTime(visit.endsAt)}
              </td>
              <td>{visit.staff.name}</td>
              <td>
                {visit.title}, {visit.who}
                <br />
                {visit.place}
              </td>
              <td>{visit.phoneText}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>Due</h3>
      <ul>
        {today.tasks
          .filter((task) => task.state !== 'done')
          .map((task) => (
            <li key={task.id}>
              {task.name}, {task.project.label}, {task.assignee}
            </li>
          ))}
      </ul>
    </div>
  );
}
