import { useEffect } from 'react';

/** Closes a panel with Escape, wherever the focus is. */
export function useEscape(close: () => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key === 'Escape') close();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [close]);
}
