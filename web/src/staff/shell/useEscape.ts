import { useEffect, useRef } from 'react';
import { useHasKeys } from '../keys';

/** Closes a panel with Escape, wherever the focus is; not while another stands on it. */
export function useEscape(close: () => void): void {
  const hasKeys = useHasKeys();
  const latest = useRef({ close, hasKeys });
  useEffect(() => {
    latest.current = { close, hasKeys };
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && latest.current.hasKeys()) latest.current.close();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
