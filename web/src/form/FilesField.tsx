import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useRef, useState } from 'react';
import { MarkShape } from '../shared/Mark';
import { fileSize } from '../shared/numbers';
import type { Question } from './types';
import { useUploads, type ChosenFile, type Uploads } from './uploads';

const accepted = { any: 'image/*,application/pdf', images: 'image/*', pdf: 'application/pdf' } as const;

/** Takes files: chosen, photographed or dropped; each can be stopped, tried again and removed. */
export function FilesField({ question, uploads }: { question: Question; uploads: Uploads }) {
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const files = useUploads(uploads)[question.key] ?? [];
  const add = (chosen: File[]) => setRefusal(uploads.add(question.key, chosen, question));
  const photographs = question.fileKinds !== 'pdf';
  return (
    <div
      className={over ? 'drop over' : 'drop'}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        add([...event.dataTransfer.files]);
      }}
    >
      {files.length > 0 && (
        <ul className="drop-files">
          {files.map((file) => (
            <li key={file.local}>
              <FileLine file={file} uploads={uploads} />
            </li>
          ))}
        </ul>
      )}
      <div className="drop-foot">
        <Button variant="outlined" onClick={() => input.current?.click()}>
          {photographs ? 'Add photographs' : 'Add files'}
        </Button>
        <span className="second drop-hint">or drop them here</span>
        <input
          ref={input}
          type="file"
          multiple
          hidden
          data-question={question.key}
          accept={accepted[question.fileKinds]}
          onChange={(event) => {
            add([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </div>
      {photographs && (
        <label className="drop-originals second">
          <input
            type="checkbox"
            defaultChecked={uploads.keepsOriginals()}
            onChange={(event) => uploads.keepOriginals(event.target.checked)}
          />{' '}
          Send photographs in full size (slower)
        </label>
      )}
      {refusal && (
        <p className="question-error" role="alert">
          <MarkShape kind="choose" /> {refusal}
        </p>
      )}
    </div>
  );
}

function FileLine({ file, uploads }: { file: ChosenFile; uploads: Uploads }) {
  const remove = (words: string, label: string) => (
    <Link
      component="button"
      type="button"
      onClick={() => uploads.remove(file.local)}
      aria-label={`${label} ${file.name}`}
    >
      {words}
    </Link>
  );
  if (file.state === 'kept')
    return (
      <>
        <span className="drop-name">{file.name}</span>
        <span className="second">{fileSize(file.size)}</span>
        {remove('Remove', 'Remove')}
      </>
    );
  if (file.state === 'failed')
    return (
      <>
        <span className="drop-name">{file.name}</span>
        <span className="question-error" role="alert">
          <MarkShape kind="choose" /> {file.error}
        </span>
        <span>
          {file.canRetry && (
            <Link component="button" type="button" onClick={() => uploads.retry(file.local)}>
              Try again
            </Link>
          )}{' '}
          {remove('Remove', 'Remove')}
        </span>
      </>
    );
  return (
    <>
      <span className="drop-name">{file.name}</span>
      <LinearProgress variant="determinate" value={file.sent * 100} aria-label={`Sending ${file.name}`} />
      <span className="second figures">
        {file.state === 'waiting' ? 'waits' : `${Math.round(file.sent * 100)} % sent`}
      </span>
      {remove('Stop', 'Stop sending')}
    </>
  );
}
