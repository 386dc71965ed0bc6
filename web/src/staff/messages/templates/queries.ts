import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../../shared/api';
import { queryKeys } from '../../queryKeys';

export { useTemplateList as useTemplates } from '../../shell/asked';

export type Template = Schema<'Template'>;
export type TemplateRow = Schema<'TemplateRow'>;
export type Draft = Pick<
  Schema<'TemplateVersion'>,
  'name' | 'subject' | 'document' | 'textMessage' | 'papers' | 'answersTo' | 'consent' | 'textFirst' | 'asks'
>;

export function useTemplate(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.template(id ?? ''),
    queryFn: () => need(api.GET('/api/templates/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  });
}

export function useExamples(id: string) {
  return useQuery({
    queryKey: queryKeys.templateExamples(id),
    queryFn: async () => (await need(api.GET('/api/templates/{id}/examples', { params: { path: { id } } }))).items,
  });
}

/** How a draft reads; the reading of before stays while the next is on its way. */
export function usePreview(id: string, draft: Draft, record: string) {
  return useQuery({
    queryKey: queryKeys.templatePreview(id, { draft, record }),
    queryFn: () =>
      need(api.POST('/api/templates/{id}/preview', { params: { path: { id } }, body: { ...draft, record } })),
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });
}

/** Makes a template, or changes the one with this id. */
export function useKeepTemplate() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({
      id,
      version,
      draft,
    }: {
      id: string | undefined;
      version: number;
      draft: Draft;
    }): Promise<Template> =>
      id
        ? need(api.PUT('/api/templates/{id}', { params: { path: { id } }, body: { ...draft, version } }))
        : need(api.POST('/api/templates', { body: draft })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** Keeps what was uploaded for a template. */
export function keepFiles(id: string, uploads: string[]) {
  return need(api.POST('/api/templates/{id}/files', { params: { path: { id } }, body: { uploads } }));
}

export function useTestTemplate() {
  return useMutation({
    mutationFn: ({ id, draft, record }: { id: string; draft: Draft; record: string }) =>
      need(api.POST('/api/templates/{id}/test', { params: { path: { id } }, body: { ...draft, record } })),
  });
}

export function useRetireTemplate() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, retired }: { id: string; retired: boolean }) =>
      need(api.POST('/api/templates/{id}/retire', { params: { path: { id } }, body: { retired } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function fetchVersion(id: string, version: number) {
  return need(api.GET('/api/templates/{id}/versions/{version}', { params: { path: { id, version } } }));
}
