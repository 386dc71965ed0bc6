import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import type { Definition } from '../definition/design';
import type { Answer } from '../../shared/condition';

export { useFormList as useForms } from '../shell/asked';

export type DesignedForm = Schema<'Form'>;
export type SubmissionOfForm = Schema<'FormTableRow'>;

/** What came through a form, page after page. */
export function useFormTable(id: string, q: string, state: Schema<'SubmissionState'> | '', sort: string) {
  return useInfiniteQuery({
    queryKey: queryKeys.formTable(id, q, state, sort),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/forms/{id}/submissions', {
          params: {
            path: { id },
            query: {
              ...(q ? { q } : {}),
              ...(state ? { state } : {}),
              ...(sort ? { sort } : {}),
              ...(pageParam ? { cursor: pageParam } : {}),
            },
          },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export type TableFilter = Schema<'TableFilter'>;

/** Ways of looking at a form's table that were kept under names. */
export function useViews(id: string) {
  return useQuery({
    queryKey: queryKeys.views(id),
    queryFn: async () => (await need(api.GET('/api/forms/{id}/views', { params: { path: { id } } }))).items,
  });
}

/** Saves a way of looking under a name. */
export function useSaveView(id: string, filter: TableFilter) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (name: string) =>
      need(api.POST('/api/forms/{id}/views', { params: { path: { id } }, body: { name, filter } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.views(id) }),
  });
}

export function useRemoveView(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (view: string) => need(api.DELETE('/api/forms/{id}/views/{view}', { params: { path: { id, view } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: queryKeys.views(id) }),
  });
}

/** The answers of what is filtered, counted. */
export function useFigures(id: string, q: string, state: Schema<'SubmissionState'> | '', wanted: boolean) {
  return useQuery({
    queryKey: queryKeys.figures(id, q, state),
    queryFn: () =>
      need(
        api.GET('/api/forms/{id}/figures', {
          params: { path: { id }, query: { ...(q ? { q } : {}), ...(state ? { state } : {}) } },
        }),
      ),
    enabled: wanted,
    placeholderData: keepPreviousData,
  });
}

export function useStarters() {
  return useQuery({
    queryKey: queryKeys.starters,
    queryFn: async () => (await need(api.GET('/api/forms/starters'))).items,
    staleTime: Infinity,
  });
}

/** The kinds of questions and where answers may go; custom fields may have been added meanwhile. */
export function useKinds() {
  return useQuery({ queryKey: queryKeys.kinds, queryFn: () => need(api.GET('/api/forms/kinds')) });
}

export function useForm(id: string | undefined) {
  return useQuery({
    queryKey: queryKeys.form(id ?? ''),
    queryFn: () => need(api.GET('/api/forms/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    // What is being typed is newer than what the server has.
    refetchOnWindowFocus: false,
    staleTime: Infinity,
  });
}

function useFormMutation<T>(mutationFn: (input: T) => Promise<DesignedForm>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: (form) => {
      queries.setQueryData(queryKeys.form(form.id), form);
      void queries.invalidateQueries({ queryKey: queryKeys.forms });
      void queries.invalidateQueries({ queryKey: queryKeys.lastChange });
    },
  });
}

export const useBegin = () =>
  useFormMutation((body: { title: string; starter?: string; copyOf?: string }) =>
    need(api.POST('/api/forms', { body })),
  );

export const useImport = () =>
  useFormMutation((file: Record<string, never>) => need(api.POST('/api/forms/import', { body: { file } })));

export const useKeep = () =>
  useFormMutation(({ id, version, definition }: { id: string; version: number; definition: Definition }) =>
    need(
      api.PUT('/api/forms/{id}', {
        params: { path: { id } },
        body: { version, definition: definition as unknown as Record<string, never> },
      }),
    ),
  );

export const usePublish = () =>
  useFormMutation(({ id, version }: { id: string; version: number }) =>
    need(api.POST('/api/forms/{id}/publish', { params: { path: { id } }, body: { version } })),
  );

export const useWithdraw = () =>
  useFormMutation((id: string) => need(api.POST('/api/forms/{id}/withdraw', { params: { path: { id } } })));

export interface Settings {
  sites: string[];
  slug: string;
  opensOn: string;
  closesOn: string;
  limit: number | null;
  closedText: string;
}

export const useSettings = () =>
  useFormMutation(({ id, settings }: { id: string; settings: Settings }) =>
    need(api.PUT('/api/forms/{id}/settings', { params: { path: { id } }, body: settings })),
  );

export function useTry(id: string) {
  return useMutation({
    mutationFn: (answers: Record<string, Answer>) =>
      need(
        api.POST('/api/forms/{id}/try', {
          params: { path: { id } },
          body: { answers: answers as unknown as Record<string, never> },
        }),
      ),
  });
}
