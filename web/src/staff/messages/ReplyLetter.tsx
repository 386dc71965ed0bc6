import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { when } from '../../shared/words';
import { ChoiceBlocks } from '../shell/ChoiceBlocks';
import { RecordLink } from '../shell/RecordLink';
import { markOf, meanings, type Meaning } from './incoming';

/** A file's size as people say it. */
function size(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1_000_000).toFixed(1)} MB`;
}

interface Props {
  reply: Schema<'Incoming'>;
  today: string;
  chosen: Meaning;
  onChoose: (meaning: Meaning) => void;
  fault: string;
}

/** What somebody wrote: what it is read as and why, what that would start, and what it answers. */
export function ReplyLetter({ reply, today, chosen, onChoose, fault }: Props) {
  const [kind, word] = markOf(reply);
  const asked = meanings.find((one) => one.value === reply.says)?.asked ?? '';
  const starts = reply.starts.find((one) => one.says === chosen)?.lines ?? [];
  return (
    <article className="letter-body">
      <div className="pillar-head">
        <h2>What {reply.client?.label ?? reply.fromName} wrote</h2>
        <span>
          <Mark kind={kind}>{word}</Mark> <span className="second figures">{when(reply.at, today)}</span>
        </span>
      </div>
      <dl className="facts letter-facts">
        <div>
          <dt>From</dt>
          <dd>
            {reply.fromName !== reply.from && `${reply.fromName} `}&lt;{reply.from}&gt;
          </dd>
        </div>
        {reply.subject && (
          <div>
            <dt>Subject</dt>
            <dd>
              <b>{reply.subject}</b>
            </dd>
          </div>
        )}
        {(reply.client ?? reply.project ?? reply.submission) && (
          <div>
            <dt>About</dt>
            <dd className="about">
              {reply.client && <RecordLink record={reply.client} />}
              {reply.project && <RecordLink record={reply.project} />}
              {reply.submission && <RecordLink record={reply.submission} />}
            </dd>
          </div>
        )}
      </dl>
      {reply.state === 'open' && !reply.believed && reply.origin === 'person' && (
        <p className="second" role="note">
          Nothing shows that it comes from {reply.from}: anybody can write any sender. You decide.
        </p>
      )}
      <div className="letter serif letter-text">{reply.said || reply.whole}</div>
      {reply.parts.length > 0 && (
        <section aria-label="What came with it">
          <h3 className="group-label">What came with it</h3>
          <ul className="rows letter-parts">
            {reply.parts.map((part, i) => (
              <li key={i}>
                <span className="line-top">
                  <span>{part.name}</span>
                  <span className="second figures">{size(part.size)}</span>
                </span>
                <span className="second">{part.why ? `Not kept: ${part.why}.` : 'Kept with the record.'}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {reply.channel === 'mail' && (
        <p className="second">
          <a href={`/api/replies/${reply.id}/eml`}>The letter as it came</a>
        </p>
      )}
      {reply.state === 'open' && (
        <section className="reply-decision" aria-label="What it means">
          <p className="line-top">
            <Mark kind="choose">{reply.origin === 'person' ? asked : 'Look at this'}</Mark>
            <span className="figures">
              {reply.origin === 'person' && reply.says !== 'other' && `${reply.confidence} %`}
            </span>
          </p>
          {reply.because.length > 0 && (
            <p className="second">
              Because of{' '}
              {reply.because.map((one, i) => (
                <span key={one}>
                  {i > 0 && ', '}“{one}”
                </span>
              ))}
            </p>
          )}
          <ChoiceBlocks
            label="What it means"
            options={meanings.map(({ value, hotkey, label }) => ({ value, hotkey, label }))}
            chosen={chosen}
            open
            onChoose={(value) => onChoose(value as Meaning)}
          />
          <ol className="reply-starts">
            {starts.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
          {fault && (
            <p className="fault" role="alert">
              {fault}
            </p>
          )}
        </section>
      )}
      {reply.done.length > 0 && (
        <>
          <h3 className="group-label">What came of it</h3>
          <ol className="reply-starts">
            {reply.done.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ol>
        </>
      )}
      {reply.whole !== reply.said && reply.said !== '' && (
        <details className="reply-whole">
          <summary>The whole message</summary>
          <div className="letter-text second">{reply.whole}</div>
        </details>
      )}
      {reply.answered && (
        <>
          <h3 className="group-label">
            It answers{' '}
            <RecordLink
              record={{
                kind: 'message',
                id: reply.answered.id,
                label: reply.answered.subject,
                path: `/messages/${reply.answered.id}`,
              }}
            />
            , {when(reply.answered.sentAt ?? reply.answered.queuedAt, today)}
          </h3>
          <div className="letter-text second reply-before">{reply.answered.text}</div>
        </>
      )}
    </article>
  );
}
