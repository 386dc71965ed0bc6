import type { Schema } from '../../shared/api';
import { Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { RecordLink } from '../shell/RecordLink';
import { MessageMark } from '../shell/messageState';
import { FillIn } from './FillIn';
import { LetterHtml } from './LetterHtml';

/** A message as its reader gets it. */
export function Letter({ message, today }: { message: Schema<'Message'>; today: string }) {
  return (
    <article className="letter-body">
      <div className="pillar-head">
        <h2>As it reads</h2>
        <span>
          <MessageMark state={message.state} />{' '}
          <span className="second figures">
            {message.leavesAt
              ? `leaves ${when(message.leavesAt, today)}`
              : when(message.sentAt ?? message.queuedAt, today)}
          </span>
        </span>
      </div>
      {message.state === 'failed' && (
        <Trouble title="Not sent">
          {message.failure || 'The mail server did not take it.'} Nothing else was lost.
        </Trouble>
      )}
      {message.state === 'queued' && message.failure && (
        <Trouble title="Not yet sent">{message.failure} It will be tried again by itself.</Trouble>
      )}
      {message.state === 'held' && message.gaps.length > 0 && <FillIn key={message.id} message={message} />}
      {message.state === 'held' && message.gaps.length === 0 && (
        <p className="letter-held">
          <b>Held.</b> {message.failure} It leaves when you let it go.
        </p>
      )}
      <dl className="facts letter-facts">
        <div>
          <dt>{message.channel === 'text' ? 'As' : 'From'}</dt>
          <dd>{message.channel === 'text' ? 'text message' : message.from}</dd>
        </div>
        <div>
          <dt>To</dt>
          <dd>
            {message.channel === 'text' ? `${message.toName}, ${message.to}` : `${message.toName} <${message.to}>`}
          </dd>
        </div>
        {message.channel === 'mail' && (
          <div>
            <dt>Subject</dt>
            <dd>
              <b>{message.subject}</b>
            </dd>
          </div>
        )}
        {message.answersTo && (
          <div>
            <dt>Answers to</dt>
            <dd>{message.answersTo}</dd>
          </div>
        )}
        <div>
          <dt>Why</dt>
          <dd>{message.ground}</dd>
        </div>
        <div>
          <dt>About</dt>
          <dd className="about">
            {message.client && <RecordLink record={message.client} />}
            {message.project && <RecordLink record={message.project} />}
            {message.submission && <RecordLink record={message.submission} />}
          </dd>
        </div>
      </dl>
      {message.papers.length > 0 && (
        <p className="second letter-papers">
          Goes with it:{' '}
          {message.papers.map((paper, i) => (
            <span key={paper.file ?? paper.name}>
              {i > 0 && ', '}
              {paper.file === null ? (
                paper.name
              ) : (
                <a href={`/api/files/${paper.file}`} target="_blank" rel="noreferrer">
                  {paper.name}
                </a>
              )}
            </span>
          ))}
        </p>
      )}
      {message.channel === 'text' ? (
        <p className="text-bubble">{message.text}</p>
      ) : (
        <LetterHtml html={message.html} text={message.text} />
      )}
    </article>
  );
}
