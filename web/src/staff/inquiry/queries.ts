import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type InquiryEdit = Schema<'InquiryEdit'>;

export function useInquiryForms() {
  return useQuery({
    queryKey: queryKeys.inquiryForms,
    queryFn: async () => (await need(api.GET('/api/inquiries/forms'))).items,
  });
}

export function useSheet(form: string, client: string) {
  return useQuery({
    queryKey: queryKeys.inquirySheet(form, client),
    enabled: form !== '',
    placeholderData: keepPreviousData,
    queryFn: () =>
      need(
        api.GET('/api/inquiries/forms/{slug}', {
          params: { path: { slug: form }, query: client ? { client } : {} },
        }),
      ),
  });
}

/** The plan as far as the inquiry is written down; the one before stays until the next is there. */
export function usePlanSoFar(said: InquiryEdit) {
  return useQuery({
    queryKey: queryKeys.inquiryPlan(said),
    enabled: said.form !== '' && Object.keys(said.answers).length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    queryFn: ({ signal }) => need(api.POST('/api/inquiries/try', { body: said, signal })),
  });
}

export function useSaveInquiry() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ key, said }: { key: string; said: InquiryEdit }) =>
      need(api.POST('/api/inquiries', { body: said, params: { header: { 'Idempotency-Key': key } } })),
    onSuccess: () => {
      for (const queryKey of [queryKeys.allSubmissions, queryKeys.day, queryKeys.lastChange]) {
        void queries.invalidateQueries({ queryKey });
      }
    },
  });
}
