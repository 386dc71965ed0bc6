import { useRef, useState, type ClipboardEvent, type DragEvent, type ReactNode } from 'react';
import { useUploads, type Uploads } from '../../form/uploads';
import { useToast } from './Toast';

interface Options {
  uploads: Uploads;
  /** Under which name they are kept apart from others of the same uploads. */
  of: string;
  limits: { maxFiles: number; maxBytes: number };
  /** What the hidden field is called. */
  label: string;
  accept?: string;
}

/** Files are brought by choosing, dropping or pasting; each shows how far it is. */
export function useBringing({ uploads, of, limits, label, accept }: Options) {
  const toast = useToast();
  const [over, setOver] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  const chosen = useUploads(uploads)[of] ?? [];
  const take = (files: File[]) => {
    const said = files.length > 0 ? uploads.add(of, files, limits) : null;
    if (said) toast({ words: said });
  };
  return {
    chosen,
    over,
    open: () => field.current?.click(),
    /** For what they are dropped or pasted on. */
    ways: {
      onDragOver: (event: DragEvent) => {
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        event.preventDefault();
        setOver(false);
        take([...event.dataTransfer.files]);
      },
      onPaste: (event: ClipboardEvent) => {
        if (event.clipboardData.files.length === 0) return;
        event.preventDefault();
        take([...event.clipboardData.files]);
      },
    },
    chooser: (
      <input
        ref={field}
        type="file"
        multiple
        hidden
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          take([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    ),
  };
}

/** Files on their way, each with what is wrong and what can be done; those that are here as whoever shows them says. */
export function UploadLines({ uploads, of, here }: { uploads: Uploads; of: string; here?: ReactNode }) {
  const chosen = useUploads(uploads)[of] ?? [];
  if (chosen.length === 0) return null;
  return (
    <ul className="rows lines" aria-label="On their way">
      {chosen.map((file) => (
        <li key={file.local}>
          {file.name}{' '}
          {file.state === 'failed' && (
            <>
              <span className="staff-field-error">{file.error}</span>{' '}
              {file.canRetry && (
                <button type="button" className="link-button" onClick={() => uploads.retry(file.local)}>
                  Try again
                </button>
              )}{' '}
            </>
          )}
          {file.state === 'kept'
            ? here
            : file.state !== 'failed' && (
                <progress value={file.sent} max={1} aria-label={`${file.name} is on its way`} />
              )}{' '}
          <button
            type="button"
            className="link-button"
            aria-label={`Remove ${file.name}`}
            onClick={() => uploads.remove(file.local)}
          >
            Remove
          </button>
        </li>
      ))}
    </ul>
  );
}
