import Link from '@mui/material/Link';
import type { ReactNode } from 'react';
import './notice.css';
import { StoneFigure } from './Figure';
import { MarkShape } from './Mark';

/** Page trouble, told in place: what happened, and what was not lost. */
export function Trouble({ title, children, again }: { title: string; children: ReactNode; again?: () => void }) {
  return (
    <div className="trouble" role="alert">
      <span className="mark choose">
        <MarkShape kind="choose" />
        <span>{title}</span>
      </span>
      <span className="trouble-text">{children}</span>
      {again && (
        <Link component="button" type="button" onClick={again}>
          Try again
        </Link>
      )}
    </div>
  );
}

/** Nothing here: one fact, and what happens next. */
export function Empty({ fact, children }: { fact: string; children: ReactNode }) {
  return (
    <div className="empty">
      <StoneFigure size={44} />
      <div>
        <b>{fact}</b>
        <p>{children}</p>
      </div>
    </div>
  );
}

/** Hairlines where rows will come. */
export function ComingRows({ rows = 6 }: { rows?: number }) {
  return (
    <div className="coming" role="status">
      <span className="unseen">Loading</span>
      {Array.from({ length: rows }, (_, i) => (
        <div key={i} />
      ))}
    </div>
  );
}
