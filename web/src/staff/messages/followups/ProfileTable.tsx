import type { Courses, FollowUp, List } from './queries';
import { leftAt, type Post } from './profile';
import { numbers, stepWords } from './series';

interface Props {
  one: FollowUp;
  standing: Post[];
  courses: Courses;
  list: List;
}

/** The answer profile in figures: each step of the main course, its day, what came of it, and who was left then. */
export function ProfileTable({ one, standing, courses, list }: Props) {
  const number = numbers(courses);
  return (
    <table className="profile-table figures">
      <thead>
        <tr>
          <th scope="col">step</th>
          <th scope="col">day</th>
          <th scope="col">done</th>
          <th scope="col">wrote back</th>
          <th scope="col">booked</th>
          <th scope="col">form</th>
          <th scope="col">no answer yet</th>
        </tr>
      </thead>
      <tbody>
        {standing
          .flatMap((post) => post.keys.map((key) => ({ key, days: post.days })))
          .map(({ key, days }) => {
            const step = (courses.main ?? []).find((each) => each.key === key);
            const figure = one.figures.find((each) => each.key === key);
            return (
              step && (
                <tr key={key}>
                  <th scope="row">
                    {number.get(key)} {stepWords(step, list, courses)}
                  </th>
                  <td>{days > 0 && days < 1 ? days.toFixed(2) : Math.round(days)}</td>
                  <td>{figure?.done ?? 0}</td>
                  <td>{figure?.answered ?? 0}</td>
                  <td>{figure?.booked ?? 0}</td>
                  <td>{figure?.forms ?? 0}</td>
                  <td>{one.curve.cases === 0 ? '' : `${Math.round(leftAt(one.curve, days) * 100)} %`}</td>
                </tr>
              )
            );
          })}
      </tbody>
    </table>
  );
}
