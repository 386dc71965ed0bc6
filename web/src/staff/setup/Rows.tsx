import type { ReactNode } from 'react';
import { useShown } from './shown';

interface Props {
  title: string;
  /** What the link beside the title says, and what it opens. */
  add?: string;
  adds?: string;
  columns: string[];
  children: ReactNode;
}

/** A section of settings that are records: a row each, opened beside the sheet. */
export function Rows({ title, add, adds, columns, children }: Props) {
  const [, show] = useShown();
  return (
    <div className={columns.length > 2 ? 'setup-four' : undefined}>
      <div className="section-head">
        <h2>{title}</h2>
        {add && adds && (
          <small>
            <button type="button" className="link-button" onClick={() => show(adds)}>
              {add}
            </button>
          </small>
        )}
      </div>
      <p className="setup-columns second" aria-hidden="true">
        <span />
        {columns.map((column) => (
          <span key={column}>{column}</span>
        ))}
      </p>
      <ul className="setup-rows">{children}</ul>
    </div>
  );
}

export function Row({ shows, name, children }: { shows: string; name: string; children: ReactNode }) {
  const [shown, show] = useShown();
  return (
    <li>
      <button
        type="button"
        className={shown === shows ? 'setup-row active' : 'setup-row'}
        aria-pressed={shown === shows}
        onClick={() => show(shows)}
      >
        <b>{name}</b>
        {children}
      </button>
    </li>
  );
}
