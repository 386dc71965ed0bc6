import { useSyncExternalStore } from 'react';

const narrow = '(max-width: 899px)';

/** Whether one pillar has the page to itself. */
export function useNarrow(): boolean {
  return useSyncExternalStore(
    (changed) => {
      const query = window.matchMedia(narrow);
      query.addEventListener('change', changed);
      return () => query.removeEventListener('change', changed);
    },
    () => window.matchMedia(narrow).matches,
  );
}
