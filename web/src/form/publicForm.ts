import { useQuery } from '@tanstack/react-query';
import { api, need, ProblemError } from '../shared/api';

/** A published form, as the public sees it. */
export function usePublicForm(slug: string) {
  return useQuery({
    queryKey: ['form', slug],
    queryFn: () => anybody(slug),
    staleTime: Infinity,
  });
}

/** The form as a link gives it to whom it was sent to; as anybody gets it, where the link does not hold any more. */
export function usePersonalForm(slug: string, link: string) {
  return useQuery({
    queryKey: ['form', slug, link],
    queryFn: async () => {
      if (link === '') return { form: await anybody(slug), who: '' };
      try {
        const form = await need(
          api.GET('/api/public/forms/{slug}/personal', { params: { path: { slug }, query: { t: link } } }),
        );
        return { form, who: form.for };
      } catch (error) {
        if (!(error instanceof ProblemError && error.status === 404)) throw error;
        return { form: await anybody(slug), who: null };
      }
    },
    staleTime: Infinity,
  });
}

const anybody = (slug: string) => need(api.GET('/api/public/forms/{slug}', { params: { path: { slug } } }));
