import { useNavigate } from 'react-router';
import { Mark } from '../../shared/Mark';
import { when } from '../../shared/words';
import { keys, useKey, type KeyName } from '../keys';
import type { Acting } from './acting';
import type { Submission } from './queries';
import './handling.css';

interface Props {
  submission: Submission;
  today: string;
  acting: Acting;
  onAsk: (what: 'assign' | 'remind' | 'note') => void;
}

/** Who has it, until when it is put off, what it counts, what was noted; and what can be done about that. */
export function HandlingLinks({ submission, today, acting, onAsk }: Props) {
  const waiting = submission.state === 'waiting';
  const canAnswer = !submission.answered && submission.state !== 'set-aside';
  useKey('give', () => onAsk('assign'));
  useKey('putOff', waiting ? () => onAsk('remind') : undefined);
  useKey('note', () => onAsk('note'));
  const navigate = useNavigate();
  const write = () => void navigate(`/messages/write?submission=${submission.id}`);
  useKey('write', write);
  useKey('answered', canAnswer ? acting.answer : undefined);
  return (
    <div className="handling">
      {submission.assignee && (
        <p>
          Given to <b>{submission.assignee.name}</b>
        </p>
      )}
      {waiting && submission.putOff && submission.remindAt && (
        <p>
          <Mark kind="waiting">put off</Mark> until {when(submission.remindAt, today)}{' '}
          <button type="button" className="link-button" onClick={acting.takeUp}>
            take it up now
          </button>
        </p>
      )}
      {submission.answered && submission.state !== 'accepted' && (
        <p>
          <Mark kind="done">answered</Mark> by {submission.answeredBy}
        </p>
      )}
      {submission.points.length > 0 && <Points submission={submission} />}
      {submission.cameAgain.length > 0 && (
        <p>
          The same answers came again as {submission.cameAgain.map((record) => record.label.split(' ')[0]).join(', ')}
        </p>
      )}
      <p className="handling-acts">
        <Act keyName="give" words="Give" onAct={() => onAsk('assign')} />
        {waiting && <Act keyName="putOff" words="Put off" onAct={() => onAsk('remind')} />}
        <Act keyName="note" words="Note" onAct={() => onAsk('note')} />
        <Act keyName="write" words="Write" onAct={write} />
        {canAnswer && <Act keyName="answered" words="Answered" onAct={acting.answer} />}
      </p>
      {submission.notes.length > 0 && (
        <ul className="arrival-notes" aria-label="Notes">
          {submission.notes.map((note) => (
            <li key={note.at + note.text}>
              {note.text}{' '}
              <span className="second">
                {note.by}, {when(note.at, today)}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Act({ keyName, words, onAct }: { keyName: KeyName; words: string; onAct: () => void }) {
  return (
    <button type="button" className="link-button" onClick={onAct}>
      {words} <kbd aria-hidden="true">{keys[keyName].shown}</kbd>
    </button>
  );
}

/** What its answers count, part by part: why it stands where it stands. */
function Points({ submission }: { submission: Submission }) {
  return (
    <p className="points">
      Priority <b className="figures">{submission.priority}</b>:{' '}
      {submission.points.map((part, i) => (
        <span key={part.question}>
          {i > 0 && ', '}
          {part.part} <span className="figures">{part.points}</span>
          <sup className="figures">{part.question}</sup>
        </span>
      ))}
    </p>
  );
}
