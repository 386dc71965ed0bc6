import { useState } from 'react';

/** What is typed on a page of a client, kept for this tab: a reload in the middle loses nothing. */
export function useKept(name: string): [string, (value: string) => void] {
  const [value, setValue] = useState(() => {
    try {
      return window.sessionStorage.getItem(name) ?? '';
    } catch {
      return '';
    }
  });
  return [
    value,
    (next) => {
      setValue(next);
      try {
        window.sessionStorage.setItem(name, next);
      } catch {
        // A store that cannot be used must not stop anybody from typing.
      }
    },
  ];
}
