import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { fileSize } from '../../shared/numbers';
import { opensHere, Pictures } from './Pictures';

/** The files of a record: photographs as pictures, the rest by name. What can be looked at here opens here. */
export function FileLines({ files }: { files: Schema<'FileRef'>[] }) {
  const [at, setAt] = useState<string | null>(null);
  const images = files.filter((file) => file.isImage);
  return (
    <>
      {images.length > 0 && (
        <ul className="thumbs files">
          {images.map((file) => (
            <li key={file.id}>
              <ButtonBase onClick={() => setAt(file.id)} aria-label={`Open ${file.name}`}>
                <img src={`/api/files/${file.id}`} alt={file.name} loading="lazy" />
              </ButtonBase>
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
              <small>{fileSize(file.size)}</small>
            </li>
          ))}
      </ul>
      <Pictures files={files.filter(opensHere)} at={at} onShow={setAt} />
    </>
  );
}
