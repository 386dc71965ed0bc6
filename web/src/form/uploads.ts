import { useSyncExternalStore } from 'react';
import { smaller } from './smaller';
import { upload, type KeptFile } from './upload';

/** One file of a question, from the moment it was chosen. */
export interface ChosenFile {
  local: number;
  name: string;
  size: number;
  state: 'waiting' | 'sending' | 'failed' | 'kept';
  /** 0 to 1 */
  sent: number;
  error: string | null;
  canRetry: boolean;
  kept: KeptFile | null;
}

export type ChosenFiles = Record<string, ChosenFile[]>;

interface Limits {
  maxFiles: number;
  maxBytes: number;
}

const AT_ONCE = 2;
const GONE = 'This had not gone through when the page was closed. Add it again.';

/**
 * The files of a form that is being filled in. It lives above the pages: a file goes on its way whatever page is shown,
 * and none is lost when several arrive at the same moment.
 */
export class Uploads {
  private files: ChosenFiles = {};
  private readonly listeners = new Set<() => void>();
  private readonly originals = new Map<number, { file: File; limits: Limits; stop: () => void }>();
  private next = 1;
  /** Whether photographs go as they are, however large. */
  private asTheyAre = false;

  /** With what was kept before, and the names of what had not gone through. */
  constructor(kept: Record<string, KeptFile[]> = {}, unfinished: Record<string, string[]> = {}) {
    for (const [question, files] of Object.entries(kept))
      this.files[question] = files.map((file) => this.entry(file.name, file.size, { state: 'kept', kept: file }));
    for (const [question, names] of Object.entries(unfinished))
      this.files[question] = [
        ...(this.files[question] ?? []),
        ...names.map((name) => this.entry(name, 0, { state: 'failed', error: GONE, canRetry: false })),
      ];
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly all = (): ChosenFiles => this.files;

  readonly keepsOriginals = (): boolean => this.asTheyAre;

  keepOriginals(is: boolean) {
    this.asTheyAre = is;
    this.told();
  }

  /** Returns what to say where not all of them fit. */
  add(question: string, chosen: File[], limits: Limits): string | null {
    const room = Math.max(0, limits.maxFiles - (this.files[question]?.length ?? 0));
    for (const file of chosen.slice(0, room)) {
      const entry = this.entry(file.name, file.size);
      this.originals.set(entry.local, { file, limits, stop: () => undefined });
      this.files = { ...this.files, [question]: [...(this.files[question] ?? []), entry] };
    }
    this.told();
    this.go();
    if (chosen.length <= room) return null;
    const left = chosen.slice(room).map((file) => file.name);
    return `At most ${limits.maxFiles} files fit here. Not added: ${left.join(', ')}.`;
  }

  retry(local: number) {
    if (!this.originals.has(local)) return;
    this.change(local, { state: 'waiting', error: null, sent: 0 });
    this.go();
  }

  remove(local: number) {
    const one = this.originals.get(local);
    this.originals.delete(local);
    this.files = Object.fromEntries(
      Object.entries(this.files).map(([question, files]) => [question, files.filter((file) => file.local !== local)]),
    );
    one?.stop();
    this.told();
    this.go();
  }

  private entry(name: string, size: number, part: Partial<ChosenFile> = {}): ChosenFile {
    return {
      local: this.next++,
      name,
      size,
      state: 'waiting',
      sent: 0,
      error: null,
      canRetry: true,
      kept: null,
      ...part,
    };
  }

  private change(local: number, part: Partial<ChosenFile>) {
    this.files = Object.fromEntries(
      Object.entries(this.files).map(([question, files]) => [
        question,
        files.map((file) => (file.local === local ? { ...file, ...part } : file)),
      ]),
    );
    this.told();
  }

  /** The next ones that wait, a few at a time: a phone's line is narrow. */
  private go() {
    const flat = Object.values(this.files).flat();
    const free = AT_ONCE - flat.filter((file) => file.state === 'sending').length;
    for (const file of flat.filter((one) => one.state === 'waiting').slice(0, Math.max(0, free)))
      void this.send(file.local);
  }

  private async send(local: number) {
    const one = this.originals.get(local);
    if (!one) return;
    this.change(local, { state: 'sending' });
    const file = this.asTheyAre ? one.file : await smaller(one.file, one.limits.maxBytes);
    if (!this.originals.has(local)) return;
    if (file.size > one.limits.maxBytes) {
      const error = `This file has more than ${Math.floor(one.limits.maxBytes / 1048576)} MB. Send a smaller one.`;
      this.change(local, { state: 'failed', error, canRetry: false });
    } else {
      const { done, stop } = upload(file, (sent) => this.change(local, { sent }));
      one.stop = stop;
      try {
        const kept = await done;
        this.originals.delete(local);
        this.change(local, { state: 'kept', kept, name: kept.name, size: kept.size });
      } catch (error) {
        const words = error instanceof Error ? error.message : 'It could not be sent.';
        this.change(local, { state: 'failed', error: words, sent: 0 });
      }
    }
    this.go();
  }

  private told() {
    for (const listener of this.listeners) listener();
  }
}

export function useUploads(uploads: Uploads): ChosenFiles {
  return useSyncExternalStore(uploads.subscribe, uploads.all);
}

/** Those that the server has, in the order in which they were chosen. */
export function keptFiles(files: ChosenFiles): Record<string, KeptFile[]> {
  return Object.fromEntries(
    Object.entries(files).map(([question, all]) => [question, all.flatMap((file) => (file.kept ? [file.kept] : []))]),
  );
}

/** The names of those that the server has not. */
export function unfinishedFiles(files: ChosenFiles): Record<string, string[]> {
  return Object.fromEntries(
    Object.entries(files).map(([question, all]) => [
      question,
      all.filter((file) => file.state !== 'kept').map((file) => file.name),
    ]),
  );
}
