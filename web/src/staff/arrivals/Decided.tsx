import { Mark } from '../../shared/Mark';
import { when } from '../../shared/words';
import { RecordLink } from '../shell/RecordLink';
import { asideWords } from './aside';
import type { Submission } from './queries';

const groupNames: Record<string, string> = {
  client: 'Client',
  asset: 'Asset',
  project: 'Project',
  task: 'Task',
  message: 'Message',
  file: 'File',
  submission: 'Submission',
};

/** What became of a submission that has been decided on. */
export function Decided({ submission, today }: { submission: Submission; today: string }) {
  const at = submission.decidedAt ? when(submission.decidedAt, today) : '';
  if (submission.state === 'set-aside') {
    return (
      <>
        <div className="pillar-head strong">
          <h2>Set aside</h2>
          <small>
            {submission.decidedBy ? `by ${submission.decidedBy}` : 'by itself'}, {at}
          </small>
        </div>
        <p className="decided-words">
          <Mark kind="stopped">{asideWords[submission.aside?.reason ?? 'other'] ?? 'set aside'}</Mark>
        </p>
        {submission.aside?.note && <p className="decided-words">{submission.aside.note}</p>}
        <p className="second">Nothing was made, and nobody was written to. It can be put back among the arrivals.</p>
      </>
    );
  }
  return (
    <>
      <div className="pillar-head strong">
        <h2>What was made</h2>
        <small>
          accepted by {submission.decidedBy}, {at}; {submission.clock.words}
        </small>
      </div>
      {submission.made.length === 0 && (
        <p className="decided-words second">Everything that was made of it has been taken back.</p>
      )}
      <ul className="made">
        {submission.made.map((record) => (
          <li key={record.id}>
            <span className="second">{groupNames[record.kind] ?? record.kind}</span>
            <span>
              <RecordLink record={record} />
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
