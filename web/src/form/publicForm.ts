import { useQuery } from '@tanstack/react-query';
import { api, need } from '../shared/api';

/** A published form, as the public sees it. */
export function usePublicForm(slug: string) {
  return useQuery({
    queryKey: ['form', slug],
    queryFn: () => need(api.GET('/api/public/forms/{slug}', { params: { path: { slug } } })),
    staleTime: Infinity,
  });
}
