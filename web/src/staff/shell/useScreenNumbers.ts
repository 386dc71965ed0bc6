import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import { keysAreOff, useKey } from '../keys';

/** After a full stop the words of the lintel are numbered, and a digit goes there; any other key ends it. */
export function useScreenNumbers(ways: string[]): boolean {
  const [numbered, setNumbered] = useState(false);
  const navigate = useNavigate();
  useKey('screens', () => setNumbered(true));
  useEffect(() => {
    if (!numbered) return undefined;
    const pressed = (event: KeyboardEvent) => {
      setNumbered(false);
      const to = /^[1-9]$/.test(event.key) ? ways[Number(event.key) - 1] : undefined;
      if (to === undefined || keysAreOff()) return;
      // The digit is meant for this and for no choice of a plan.
      event.preventDefault();
      event.stopImmediatePropagation();
      void navigate(to);
    };
    window.addEventListener('keydown', pressed, { capture: true });
    return () => window.removeEventListener('keydown', pressed, { capture: true });
  }, [numbered, ways, navigate]);
  return numbered;
}
