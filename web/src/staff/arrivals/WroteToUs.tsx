import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, need } from '../../shared/api';
import { count } from '../../shared/numbers';
import { when } from '../../shared/words';
import { queryKeys } from '../queryKeys';
import { useToday } from '../shell/day';
import { SectionRows } from '../shell/SectionRows';

/** The forms that a client sent. */
export function WroteToUs({ id }: { id: string }) {
  const today = useToday();
  const list = useQuery({
    queryKey: queryKeys.submissionsOf(id),
    queryFn: () => need(api.GET('/api/submissions', { params: { query: { client: id } } })),
  });
  return (
    <SectionRows
      title="Inquiries"
      small={list.data && count(list.data.items.length, 'form')}
      list={list}
      empty={<p className="nothing second">Came on file without a form.</p>}
    >
      {(submissions) => (
        <ul className="rows lines">
          {submissions.map((submission) => (
            <li key={submission.id}>
              <span className="line-top">
                <Link
                  to={`/arrivals/${submission.id}${submission.state === 'waiting' ? '' : `?state=${submission.state}`}`}
                >
                  {submission.form.title}
                </Link>
                <span className="second figures">{submission.number}</span>
              </span>
              <small>
                {when(submission.receivedAt, today)}, {submission.clock.words}
                {submission.priority > 0 && `, priority ${count(submission.priority, 'point')}`}
              </small>
            </li>
          ))}
        </ul>
      )}
    </SectionRows>
  );
}
