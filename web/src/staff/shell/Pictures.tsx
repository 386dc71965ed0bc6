import Dialog from '@mui/material/Dialog';
import { lazy, Suspense, type KeyboardEvent } from 'react';
import type { Schema } from '../../shared/api';
import { ComingRows } from '../../shared/Notice';
import { fileSize } from '../../shared/numbers';
import { Slab } from './Slab';

// Drawing PDF files takes much code, and is fetched when one is looked at.
const PdfPages = lazy(() => import('./PdfPages'));

/** Whether a file can be looked at here, without leaving the screen. */
export const opensHere = (file: Schema<'FileRef'>): boolean => file.isImage || file.type === 'application/pdf';

interface Props {
  files: Schema<'FileRef'>[];
  at: string | null;
  onShow: (id: string | null) => void;
}

/** One photograph or paper large, with the way to the next. */
export function Pictures({ files, at, onShow }: Props) {
  const place = files.findIndex((file) => file.id === at);
  const file = files[place];
  const go = (step: number) => {
    const next = files[(place + step + files.length) % files.length];
    if (next) onShow(next.id);
  };
  const keys = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') go(1);
    if (event.key === 'ArrowLeft') go(-1);
  };
  return (
    <Dialog
      open={file !== undefined}
      onClose={() => onShow(null)}
      maxWidth="lg"
      aria-labelledby="picture-title"
      onKeyDown={keys}
    >
      {file && (
        <Slab
          titleId="picture-title"
          title={`${file.name}, ${fileSize(file.size)}`}
          blocks={[
            ...(files.length > 1
              ? [
                  { label: 'Previous', shown: '←', act: () => go(-1) },
                  { label: 'Next', shown: '→', act: () => go(1) },
                ]
              : []),
            ...(file.isImage ? [] : [{ label: 'Save it', act: () => window.location.assign(`/api/files/${file.id}`) }]),
            { label: 'Close', shown: 'Esc', act: () => onShow(null) },
          ]}
        >
          {file.isImage ? (
            <img className="picture-large" src={`/api/files/${file.id}`} alt={file.name} />
          ) : (
            <Suspense fallback={<ComingRows rows={8} />}>
              <PdfPages key={file.id} src={`/api/files/${file.id}`} name={file.name} />
            </Suspense>
          )}
        </Slab>
      )}
    </Dialog>
  );
}
