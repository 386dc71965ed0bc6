import { useState } from 'react';

/**
 * Which columns of a list are left out, remembered in the browser.
 *
 * @param list what the list is known by
 * @param usual those left out as long as nobody chose
 */
export function useHiddenColumns(list: string, usual: string[] = []): [string[], (keys: string[]) => void] {
  const name = `telamon.columns.${list}`;
  const [hidden, setHidden] = useState<string[]>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(name) ?? 'null');
      return Array.isArray(kept) ? kept.filter((key): key is string => typeof key === 'string') : usual;
    } catch {
      return usual;
    }
  });
  return [
    hidden,
    (keys) => {
      localStorage.setItem(name, JSON.stringify(keys));
      setHidden(keys);
    },
  ];
}
