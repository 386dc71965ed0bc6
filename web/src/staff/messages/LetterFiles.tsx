import { useEffect, useRef, useState } from 'react';
import type { KeptFile } from '../../form/upload';
import { Uploads } from '../../form/uploads';
import { fileSize } from '../../shared/numbers';
import { UploadLines, useBringing } from '../shell/Bringing';
import { useFileList } from '../shell/asked';

const limits = { maxFiles: 10, maxBytes: 10_485_760 };
const here = 'letter';

interface Props {
  client: string;
  project: string;
  /** What the template sends along. */
  papers: { paper: string; name: string; goes: boolean }[];
  onPapers: (papers: Props['papers']) => void;
  /** Ids of files on record. */
  files: string[];
  brought: KeptFile[];
  onFiles: (files: string[]) => void;
  onBrought: (brought: KeptFile[]) => void;
  /** Whether something is still on its way: then the letter waits. */
  onBusy: (busy: boolean) => void;
}

/** What goes with a letter: files of the client, and others that are brought along and put with the record. */
export function LetterFiles({ client, project, papers, onPapers, files, brought, onFiles, onBrought, onBusy }: Props) {
  const [of, id] = project ? (['project', project] as const) : (['client', client] as const);
  const list = useFileList(of, id);
  const [uploads] = useState(() => new Uploads({ [here]: brought }));
  const { chosen, over, open, ways, chooser } = useBringing({ uploads, of: here, limits, label: 'Add files' });
  const tell = useRef({ onBrought, onBusy });
  useEffect(() => {
    tell.current = { onBrought, onBusy };
  });
  const kept = chosen.flatMap((file) => (file.kept ? [file.kept] : []));
  const ids = kept.map((file) => file.id).join(' ');
  const known = useRef(brought.map((file) => file.id).join(' '));
  useEffect(() => {
    if (ids === known.current) return;
    known.current = ids;
    tell.current.onBrought((uploads.all()[here] ?? []).flatMap((file) => (file.kept ? [file.kept] : [])));
  }, [ids, uploads]);
  const busy = chosen.some((file) => file.state === 'waiting' || file.state === 'sending');
  useEffect(() => tell.current.onBusy(busy), [busy]);
  const onRecord = list.data?.items ?? [];
  return (
    <section className={over ? 'encloses over' : 'encloses'} aria-label="Files" {...ways}>
      <p className="field-label" aria-hidden="true">
        Goes with it
      </p>
      {list.error && (
        <p className="fault" role="alert">
          The files of the client are not loaded. {list.error.message}
        </p>
      )}
      <ul className="encloses-list">
        {papers.map(({ paper, name, goes }) => (
          <li key={paper}>
            <label>
              <input
                type="checkbox"
                checked={goes}
                onChange={(event) =>
                  onPapers(papers.map((one) => (one.paper === paper ? { ...one, goes: event.target.checked } : one)))
                }
              />{' '}
              {name}
            </label>{' '}
            <small className="second">from the template</small>
          </li>
        ))}
        {onRecord.map((file) => (
          <li key={file.id}>
            <label>
              <input
                type="checkbox"
                checked={files.includes(file.id)}
                onChange={(event) =>
                  onFiles(event.target.checked ? [...files, file.id] : files.filter((one) => one !== file.id))
                }
              />{' '}
              {file.name}
            </label>{' '}
            <small className="second figures">{fileSize(file.size)}</small>
          </li>
        ))}
        <li>
          <button type="button" className="link-button" onClick={open}>
            Add files
          </button>{' '}
          <span className="second">or drop them here; they are put with the record too</span>
        </li>
      </ul>
      {chooser}
      <UploadLines uploads={uploads} of={here} here={<span className="second">goes with it</span>} />
    </section>
  );
}
