import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { useZone } from './Choosing';
import { whenWords } from './times';

/** That one waits for a place, as which of how many, and the way off the list. */
export function Waits({
  waits,
  home,
  told,
  busy,
  onLeave,
}: {
  waits: Schema<'WaitsFor'>;
  home: string;
  told: string;
  busy: boolean;
  onLeave: () => void;
}) {
  const [zone] = useZone(home);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
    window.scrollTo(0, 0);
  }, []);
  return (
    <main className="visit">
      <Mark kind="waiting">waiting for a place</Mark>
      <h1 ref={heading} tabIndex={-1}>
        {whenWords(waits.at, waits.length, zone)}
      </h1>
      <p>
        {waits.title} is full.{' '}
        {waits.number === 1 ? 'You are the first who waits.' : `You are number ${waits.number} of those who wait.`} When
        a place becomes free we keep it for you for {waits.hours} hours
        {waits.email ? <>, and write to {waits.email}</> : ''}. You need not do anything until then.
      </p>
      {told && (
        <p className="book-told" role="alert">
          {told}
        </p>
      )}
      <p className="visit-acts">
        <Button variant="outlined" size="large" disabled={busy} onClick={onLeave}>
          Wait no longer, choose another time
        </Button>
      </p>
    </main>
  );
}
