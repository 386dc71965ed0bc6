import type { ReactNode } from 'react';

export type MarkKind = 'new' | 'waiting' | 'done' | 'stopped' | 'choose' | 'under-way';

const shapes: Record<MarkKind, ReactNode> = {
  new: <circle cx="5.5" cy="5.5" r="4.5" fill="none" stroke="currentColor" strokeWidth="2" />,
  waiting: (
    <>
      <circle cx="5.5" cy="5.5" r="4.75" fill="none" stroke="currentColor" strokeWidth="1.5" />
      <path d="M5.5 1a4.5 4.5 0 0 1 0 9z" fill="currentColor" />
    </>
  ),
  done: <circle cx="5.5" cy="5.5" r="5" fill="currentColor" />,
  stopped: (
    <>
      <circle cx="5.5" cy="5.5" r="4.75" fill="none" stroke="currentColor" strokeWidth="1.5" />
      <path d="M1.5 5.5h8" stroke="currentColor" strokeWidth="1.8" />
    </>
  ),
  choose: <path d="M0 .5h11L8.6 10.5H2.4z" fill="currentColor" />,
  'under-way': (
    <>
      <circle cx="5.5" cy="5.5" r="4.5" fill="none" stroke="currentColor" strokeWidth="1.5" />
      <circle cx="5.5" cy="5.5" r="2" fill="currentColor" />
    </>
  ),
};

/** A state: its shape, and always its word. */
export function Mark({ kind, children }: { kind: MarkKind; children: ReactNode }) {
  return (
    <span className={`mark ${kind}`}>
      <MarkShape kind={kind} />
      <span>{children}</span>
    </span>
  );
}

/** The shape alone, where the word stands elsewhere. */
export function MarkShape({ kind }: { kind: MarkKind }) {
  return (
    <svg viewBox="0 0 11 11" width="11" height="11" aria-hidden="true">
      {shapes[kind]}
    </svg>
  );
}
