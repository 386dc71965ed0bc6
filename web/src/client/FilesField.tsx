import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import { useEffect, useRef, useState } from 'react';
import { MarkShape } from '../shared/Mark';
import { fileSize } from '../shared/numbers';
import type { Question } from './queries';
import { useUploads, type KeptFile } from './uploads';

const accepted = { any: 'image/*,application/pdf', images: 'image/*', pdf: 'application/pdf' } as const;

interface Props {
  question: Question;
  files: KeptFile[];
  onFiles: (files: KeptFile[]) => void;
  onGoing: (is: boolean) => void;
}

/** Takes files: chosen, photographed or dropped; each can be stopped, tried again and taken out. */
export function FilesField({ question, files, onFiles, onGoing }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const uploads = useUploads(files, onFiles, question);
  const busy = uploads.going.some((one) => one.error === null);
  useEffect(() => onGoing(busy));
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
        uploads.add([...event.dataTransfer.files]);
      }}
    >
      {files.length + uploads.going.length > 0 && (
        <ul className="drop-files">
          {files.map((file) => (
            <li key={file.id}>
              <span className="drop-name">{file.name}</span>
              <span className="second">{fileSize(file.size)}</span>
              <Link
                component="button"
                type="button"
                onClick={() => onFiles(files.filter((one) => one.id !== file.id))}
                aria-label={`Take out ${file.name}`}
              >
                Take out
              </Link>
            </li>
          ))}
          {uploads.going.map((one) => (
            <li key={one.local}>
              <span className="drop-name">{one.name}</span>
              {one.error ? (
                <>
                  <span className="question-error" role="alert">
                    <MarkShape kind="choose" /> {one.error}
                  </span>
                  <span>
                    {one.size <= question.maxBytes && (
                      <Link component="button" type="button" onClick={() => uploads.retry(one.local)}>
                        Try again
                      </Link>
                    )}{' '}
                    <Link
                      component="button"
                      type="button"
                      onClick={() => uploads.drop(one.local)}
                      aria-label={`Take out ${one.name}`}
                    >
                      Take out
                    </Link>
                  </span>
                </>
              ) : (
                <>
                  <LinearProgress variant="determinate" value={one.sent * 100} aria-label={`Sending ${one.name}`} />
                  <span className="second figures">{Math.round(one.sent * 100)} % sent</span>
                  <Link
                    component="button"
                    type="button"
                    onClick={() => uploads.drop(one.local)}
                    aria-label={`Stop sending ${one.name}`}
                  >
                    Stop
                  </Link>
                </>
              )}
            </li>
          ))}
        </ul>
      )}
      <div className="drop-foot">
        <Button variant="outlined" onClick={() => input.current?.click()}>
          {question.fileKinds === 'pdf' ? 'Add files' : 'Add photographs'}
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
            uploads.add([...(event.target.files ?? [])]);
            event.target.value = '';
          }}
        />
      </div>
      {uploads.refusal && (
        <p className="question-error" role="alert">
          <MarkShape kind="choose" /> {uploads.refusal}
        </p>
      )}
    </div>
  );
}
