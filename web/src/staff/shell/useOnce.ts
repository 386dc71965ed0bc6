import { useRef } from 'react';

/** Does one thing at a time: a second press within one breath is none. What is done says when it is over. */
export function useOnce(): (act: (done: () => void) => void) => void {
  const busy = useRef(false);
  return (act) => {
    if (busy.current) return;
    busy.current = true;
    act(() => {
      busy.current = false;
    });
  };
}
