import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { fileSize } from '../../shared/numbers';
import { opensHere, Pictures } from './Pictures';

/** The files of a record: photographs as pictures, the rest by name. What can be looked at here opens here. */
interface Props {
  files: Schema<'FileRef'>[];
  /** Opens what a file is called and what is noted beside it; nothing where it cannot be changed. */
  onEdit?: ((id: string) => void) | undefined;
}

export function FileLines({ files, onEdit }: Props) {
  const [at, setAt] = useState<string | null>(null);
  const images = files.filter((file) => file.isImage);
  return (
    <>
      {images.length > 0 && (
        <ul className="thumbs files">
          {images.map((file) => (
            <li key={file.id}>
              <ButtonBase onClick={() => setAt(file.id)} aria-label={`Open ${file.name}`}>
                <img src={`/api/files/${file.id}`} alt={file.note || file.name} loading="lazy" />
              </ButtonBase>
              {onEdit && <EditFile file={file} onEdit={onEdit} />}
            </li>
          ))}
        </ul>
      )}
      <ul className="rows lines">
        {files
          .filter((file) => !file.isImage)
          .map((file) => (
            <li key={file.id}>
              {opensHere(file) ? (
                <button type="button" className="link-button" onClick={() => setAt(file.id)}>
                  {file.name}
                </button>
              ) : (
                <a href={`/api/files/${file.id}`} download={file.name}>
                  {file.name}
                </a>
              )}{' '}
              <small>{fileSize(file.size)}</small> {onEdit && <EditFile file={file} onEdit={onEdit} />}
              {file.note && <small className="file-note">{file.note}</small>}
            </li>
          ))}
      </ul>
      <Pictures files={files.filter(opensHere)} at={at} onShow={setAt} />
    </>
  );
}

function EditFile({ file, onEdit }: { file: Schema<'FileRef'>; onEdit: (id: string) => void }) {
  return (
    <button
      type="button"
      className="link-button second"
      aria-label={`Edit ${file.name}`}
      onClick={() => onEdit(file.id)}
    >
      Edit
    </button>
  );
}
