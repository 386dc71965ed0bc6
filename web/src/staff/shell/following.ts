import { useQuery, useQueryClient, type QueryKey } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

/** How often it is asked whether anybody changed anything: what others do is seen within five seconds. */
const pulse = 4000;

/**
 * A screen follows what others do: what stands under these keys is asked for again once something was changed, by
 * whomever. One small question finds that out, so that nothing large is asked in vain.
 */
export function useFollowing(...keys: QueryKey[]) {
  const queries = useQueryClient();
  const newest = useQuery({
    queryKey: queryKeys.pulse,
    queryFn: async () => (await need(api.GET('/api/changes/pulse'))).newest,
    refetchInterval: pulse,
    staleTime: 0,
  }).data;
  const seen = useRef(newest);
  const watched = JSON.stringify(keys);
  useEffect(() => {
    if (newest === undefined || newest === seen.current) return;
    const isFirst = seen.current === undefined;
    seen.current = newest;
    if (isFirst) return;
    for (const queryKey of JSON.parse(watched) as QueryKey[]) void queries.invalidateQueries({ queryKey });
  }, [newest, queries, watched]);
}
