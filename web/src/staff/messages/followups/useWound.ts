import { useState } from 'react';
import type { Says } from './queries';

/** A clock that is wound forward from the moment at which the screen was opened, and what the sample answers. */
export interface Wound {
  start: string;
  clock: string;
  answered: { at: string; says: Says } | null;
  setClock: (at: string) => void;
  setAnswered: (answer: { at: string; says: Says } | null) => void;
}

/** @param now the time of the business; undefined while it is not known */
export function useWound(now: string | undefined): Wound | null {
  const [start, setStart] = useState(now);
  const [clock, setClock] = useState<string>();
  const [answered, setAnswered] = useState<Wound['answered']>(null);
  // The first time that is known stays the beginning: a minute later everything else would have to be reckoned anew.
  if (start === undefined && now !== undefined) setStart(now);
  return start === undefined ? null : { start, clock: clock ?? start, answered, setClock, setAnswered };
}
