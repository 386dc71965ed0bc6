import { useCallback, useEffect, useRef, useState } from 'react';
import { ProblemError, unreachable, type Schema } from '../shared/api';

export interface KeptFile {
  id: string;
  name: string;
  size: number;
  type: string;
}

export interface FileOnItsWay {
  local: number;
  name: string;
  size: number;
  /** 0 to 1 */
  sent: number;
  error: string | null;
  preview: string | null;
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

interface Waiting {
  file: File;
  stop: () => void;
}

/** The files of one question: those on file and those on their way, which can be stopped and tried again. */
export function useUploads(
  files: KeptFile[],
  onFiles: (files: KeptFile[]) => void,
  limits: { maxFiles: number; maxBytes: number },
) {
  const [going, setGoing] = useState<FileOnItsWay[]>([]);
  const [refusal, setRefusal] = useState<string | null>(null);
  const waiting = useRef(new Map<number, Waiting>());
  const next = useRef(1);
  const latest = useRef(files);
  useEffect(() => {
    latest.current = files;
  });

  const change = useCallback(
    (local: number, part: Partial<FileOnItsWay>) =>
      setGoing((all) => all.map((one) => (one.local === local ? { ...one, ...part } : one))),
    [],
  );

  const send = useCallback(
    (local: number, file: File) => {
      const { done, stop } = upload(file, (sent) => change(local, { sent }));
      waiting.current.set(local, { file, stop });
      done.then(
        (kept) => {
          waiting.current.delete(local);
          setGoing((all) => all.filter((one) => one.local !== local));
          onFiles([...latest.current, kept]);
        },
        (error: unknown) =>
          change(local, { error: error instanceof Error ? error.message : 'It could not be sent.', sent: 0 }),
      );
    },
    [change, onFiles],
  );

  const add = (chosen: File[]) => {
    setRefusal(null);
    const room = limits.maxFiles - files.length - going.length;
    if (chosen.length > room) setRefusal(`At most ${limits.maxFiles} files fit here.`);
    for (const file of chosen.slice(0, Math.max(0, room))) {
      const local = next.current++;
      const preview = file.type.startsWith('image/') ? URL.createObjectURL(file) : null;
      const tooLarge = file.size > limits.maxBytes;
      setGoing((all) => [
        ...all,
        {
          local,
          name: file.name,
          size: file.size,
          sent: 0,
          preview,
          error: tooLarge
            ? `This file has more than ${Math.floor(limits.maxBytes / 1048576)} MB. Send a smaller one.`
            : null,
        },
      ]);
      waiting.current.set(local, { file, stop: () => undefined });
      if (!tooLarge) send(local, file);
    }
  };

  return {
    going,
    refusal,
    add,
    retry: (local: number) => {
      const one = waiting.current.get(local);
      if (one && one.file.size <= limits.maxBytes) {
        change(local, { error: null });
        send(local, one.file);
      }
    },
    drop: (local: number) => {
      waiting.current.get(local)?.stop();
      waiting.current.delete(local);
      setGoing((all) => all.filter((one) => one.local !== local));
    },
  };
}
