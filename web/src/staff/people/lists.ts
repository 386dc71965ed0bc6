import { useInfiniteQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';

/** What waits, to choose one from. */
export function useWaiting() {
  return useInfiniteQuery({
    queryKey: ['choose', 'submissions'],
    queryFn: () => need(api.GET('/api/submissions', { params: { query: { state: 'waiting' } } })),
    initialPageParam: '',
    getNextPageParam: () => null,
  });
}

/** The newest projects, to choose one from. */
export function useNewestProjects() {
  return useInfiniteQuery({
    queryKey: ['choose', 'projects'],
    queryFn: () => need(api.GET('/api/projects', {})),
    initialPageParam: '',
    getNextPageParam: () => null,
  });
}
