import { ProblemError, unreachable, type Schema } from '../shared/api';

/** A file that the server has. */
export interface KeptFile {
  id: string;
  name: string;
  size: number;
  type: string;
}

/** Sends one file, telling how far it has come. */
export function upload(file: File, onProgress: (share: number) => void): { done: Promise<KeptFile>; stop: () => void } {
  const request = new XMLHttpRequest();
  const done = new Promise<KeptFile>((resolve, reject) => {
    request.upload.onprogress = (event) => onProgress(event.total ? event.loaded / event.total : 0);
    request.onerror = () => reject(unreachable());
    request.onabort = () => reject(new ProblemError({ status: 0, detail: 'Stopped.' }));
    request.onload = () => {
      let body: unknown = null;
      try {
        body = JSON.parse(request.responseText);
      } catch {
        // An answer that is none is told by its status.
      }
      if (request.status === 201) resolve(body as KeptFile);
      else reject(new ProblemError({ ...(body as Partial<Schema<'Problem'>> | null), status: request.status }));
    };
  });
  const form = new FormData();
  form.append('file', file);
  request.open('POST', '/api/public/uploads');
  request.send(form);
  return { done, stop: () => request.abort() };
}
