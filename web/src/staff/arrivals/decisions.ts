import { useCallback, useState } from 'react';
import type { Decisions } from './queries';

const name = (id: string) => `telamon.decisions.${id}`;

function kept(id: string): Decisions {
  try {
    const data: unknown = JSON.parse(sessionStorage.getItem(name(id)) ?? '{}');
    return typeof data === 'object' && data !== null ? (data as Decisions) : {};
  } catch {
    return {};
  }
}

/** The choices made on a plan so far. They outlast leaving the screen and reloading it. */
export function useDecisions(id: string): {
  decisions: Decisions;
  decide: (key: string, value: string) => void;
  forget: () => void;
} {
  const [all, setAll] = useState<Record<string, Decisions>>({});
  const decisions = all[id] ?? kept(id);
  const keep = useCallback(
    (next: Decisions) => {
      sessionStorage.setItem(name(id), JSON.stringify(next));
      setAll((before) => ({ ...before, [id]: next }));
    },
    [id],
  );
  return {
    decisions,
    decide: (key, value) => keep({ ...decisions, [key]: value }),
    forget: () => keep({}),
  };
}
