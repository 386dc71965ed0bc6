import ButtonBase from '@mui/material/ButtonBase';
import { Fragment, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import { count, fileSize } from '../../shared/numbers';
import { moment } from '../../shared/words';
import { opensHere, Pictures } from '../shell/Pictures';
import { nowhere, useLooking } from '../plan/looking';
import { PutRight } from './PutRight';
import type { Submission } from './queries';
import '../shell/sheet.css';

const channels: Record<string, string> = {
  page: 'from its page',
  embed: 'from a page that holds it',
  phone: 'by phone',
  desk: 'at the desk',
  mail: 'by mail',
  text: 'by text message',
};

interface Props {
  submission: Submission;
  /** Puts an answer right for the plan; what was written stays. Nothing once it is decided. */
  onPutRight: ((question: string, text: string) => void) | undefined;
  /** What is done with it beside deciding: stands beneath its head. */
  handling?: ReactNode;
}

/** A submission as it was written, question by question. */
export function Sheet({ submission, onPutRight, handling }: Props) {
  const [picture, setPicture] = useState<string | null>(null);
  const { at, deciding, look } = useLooking();
  const received = moment(submission.receivedAt);
  const images = submission.answers.flatMap((answer) => answer.files).filter(opensHere);
  return (
    <article className="sheet-body">
      <header className="sheet-head">
        <h2>{submission.name}</h2>
        <p>
          {submission.form.title} {channels[submission.channel] ?? submission.channel}
        </p>
        <p>
          {received.toFormat('cccc d LLLL, HH:mm')}. Number {submission.number},{' '}
          <a href={`/api/submissions/${submission.id}/pdf`} target="_blank" rel="noreferrer">
            PDF
          </a>
        </p>
        <OriginLines submission={submission} />
        {submission.earlier.length > 0 && (
          <p>
            Wrote before:{' '}
            {submission.earlier.map((one, i) => (
              <Fragment key={one.record.id}>
                {i > 0 && ', '}
                <Link to={`/arrivals/${one.record.id}?state=${one.state}`}>
                  {moment(one.at).toFormat('d LLL yyyy')}
                </Link>
                {one.state === 'set-aside' && ' (set aside)'}
              </Fragment>
            ))}
          </p>
        )}
        {submission.others.length > 0 && (
          <p role="status">
            <b>{submission.others.join(' and ')}</b> {submission.others.length === 1 ? 'looks' : 'look'} at it too.
          </p>
        )}
        {handling}
      </header>
      <ol className="answers">
        {submission.answers.map((answer) => (
          <li
            key={answer.key}
            data-answer={answer.number}
            className={answer.number === deciding ? 'deciding' : at.answer === answer.number ? 'looked-at' : undefined}
            onMouseEnter={() => look({ answer: answer.number, line: null })}
            onMouseLeave={() => look(nowhere)}
          >
            <span className="margin-number" aria-hidden="true">
              {answer.number}
            </span>
            <div>
              <h3>
                <span className="unseen">Question {answer.number}: </span>
                {answer.wording}
              </h3>
              {answer.text && answer.files.length > 0 && <p className="answer-text">{answer.text}</p>}
              {answer.files.length > 0 ? (
                <ul className="thumbs">
                  {answer.files.map((file) => (
                    <li key={file.id}>
                      {file.isImage ? (
                        <ButtonBase onClick={() => setPicture(file.id)} aria-label={`Open ${file.name}`}>
                          <img src={`/api/files/${file.id}`} alt={file.name} loading="lazy" />
                        </ButtonBase>
                      ) : (
                        <button type="button" className="link-button" onClick={() => setPicture(file.id)}>
                          {file.name}, {fileSize(file.size)}
                        </button>
                      )}
                    </li>
                  ))}
                </ul>
              ) : (
                <p className="answer-text">
                  <span data-anchor>
                    {answer.text || (
                      <span className="second">{answer.type === 'files' ? 'None sent' : 'Left empty'}</span>
                    )}
                  </span>
                </p>
              )}
              <PutRight
                key={submission.decided.answers[answer.key] ?? ''}
                name={`${submission.id}.answer.${answer.key}`}
                answer={answer}
                right={submission.decided.answers[answer.key] ?? ''}
                onSave={onPutRight}
              />
            </div>
          </li>
        ))}
      </ol>
      <p className="unseen">{count(submission.answers.length, 'question')}</p>
      <Pictures files={images} at={picture} onShow={setPicture} />
    </article>
  );
}

/** Where it came from, and which other form it carries on or is carried on in. */
function OriginLines({ submission }: { submission: Submission }) {
  const { origin, continues, continuedBy } = submission;
  const campaign = Object.values(origin.campaign).join(', ');
  return (
    <>
      {submission.unfinished && (
        <p>
          <Mark kind="waiting">did not finish</Mark> The longer form has not come.
        </p>
      )}
      {continues && (
        <p>
          Carries on <Link to={`/arrivals/${continues.id}?state=set-aside`}>{continues.label}</Link>
        </p>
      )}
      {continuedBy && (
        <p>
          Carried on in <Link to={`/arrivals/${continuedBy.id}`}>{continuedBy.label}</Link>
        </p>
      )}
      {(campaign || submission.channel === 'embed') && (
        <p className="second origin">
          {submission.channel === 'embed' && origin.page.replace(/^https?:\/\//, '').split('?')[0]}
          {campaign && ` (${campaign})`}
        </p>
      )}
    </>
  );
}
