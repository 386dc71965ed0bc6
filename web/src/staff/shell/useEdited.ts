import { useEffect, useRef } from 'react';
import { forgetUnsaved, keepUnsaved, useUnsaved } from './useUnsaved';

/**
 * What is typed over a record, kept under its name, and still there when it was typed while it was being saved.
 *
 * @param area what kind of record
 * @param id of it; “new” for one that is not saved yet
 */
export function useEdited<T extends object>(area: string, id: string) {
  const [edited, setEdited, forgetEdited] = useUnsaved<T | null>(`${area}.${id}`, null);
  const newest = useRef(edited);
  useEffect(() => {
    // It may have been typed in another window.
    newest.current = edited;
  }, [edited]);
  const set = (next: T | null) => {
    newest.current = next;
    setEdited(next);
    if (next === null) forgetEdited();
  };
  return {
    edited,
    set,
    /**
     * Call it before it is sent. What comes back is called when that was saved, with the record's id and how what was
     * typed since is a change of what is saved now.
     */
    sending: () => {
      const sent = newest.current;
      return (savedAs: string, over: (typed: T) => T) => {
        const typed = newest.current;
        if (typed === null || JSON.stringify(typed) === JSON.stringify(sent)) {
          set(null);
          return;
        }
        if (savedAs === id) {
          set(over(typed));
          return;
        }
        // The new one is shown under its own name from now on.
        keepUnsaved(`${area}.${savedAs}`, over(typed));
        forgetUnsaved(`${area}.${id}`);
      };
    },
  };
}
