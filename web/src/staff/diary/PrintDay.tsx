import { clockTime, longDay } from '../../shared/words';
import type { Diary } from './queries';
import { dayOf } from './weeks';

/** The day for each person, on paper: when, with whom, where, whom to ring, what to bring. Seen only in print. */
export function PrintDay({ diary, day }: { diary: Diary; day: string }) {
  const visits = diary.appointments.filter((visit) => dayOf(visit.startsAt) === day);
  return (
    <div className="print-day">
      {diary.staff
        .filter((one) =>
          visits.some((visit) => visit.staff.id === one.id || visit.also.some((also) => also.id === one.id)),
        )
        .map((one) => (
          <section key={one.id}>
            <h2>
              {one.name}, {longDay(day)}
            </h2>
            <table>
              <tbody>
                {visits
                  .filter((visit) => visit.staff.id === one.id || visit.also.some((also) => also.id === one.id))
                  .map((visit) => (
                    <tr key={visit.id}>
                      <td>
                        {clockTime(visit.startsAt)} to {clockTime(visit.endsAt)}
                      </td>
                      <td>
                        <b>{visit.title}</b>, {visit.who}
                        <br />
                        {visit.place}
                      </td>
                      <td>{visit.phoneText}</td>
                      <td>{visit.notes}</td>
                    </tr>
                  ))}
              </tbody>
            </table>
          </section>
        ))}
    </div>
  );
}
