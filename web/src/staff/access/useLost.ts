import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ProblemError } from '../../shared/api';

const isLost = (error: unknown) => error instanceof ProblemError && error.status === 401;

/** Whether the server no longer knows who sits here, found out by anything that was asked of it; and how that is over. */
export function useLost(): [boolean, () => void] {
  const queries = useQueryClient();
  const [lost, setLost] = useState(false);
  useEffect(() => {
    const ends = [
      queries.getQueryCache().subscribe((event) => {
        if (event.type === 'updated' && event.action.type === 'error' && isLost(event.action.error)) setLost(true);
      }),
      queries.getMutationCache().subscribe((event) => {
        if (event.type === 'updated' && event.action.type === 'error' && isLost(event.action.error)) setLost(true);
      }),
    ];
    return () => {
      for (const end of ends) end();
    };
  }, [queries]);
  return [lost, () => setLost(false)];
}
