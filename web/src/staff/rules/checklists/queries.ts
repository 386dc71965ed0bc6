import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../../shared/api';
import { queryKeys } from '../../queryKeys';

export type KeptList = Schema<'KeptChecklist'>;
export type Item = Schema<'ChecklistItem'>;
export type Lists = Schema<'ChecklistList'>;
export type Draft = Omit<Schema<'ChecklistDraft'>, 'key'> & { key: string; purpose: string; joinsAfter: string };
export type Tried = Schema<'TriedChecklists'>;
export interface Trying {
  id: string;
  list: Draft;
  service: string;
  start: string;
  readyBy: string;
  submission: string;
}

export function useChecklists() {
  return useQuery({ queryKey: queryKeys.checklists, queryFn: () => need(api.GET('/api/checklists')) });
}

/** Makes a checklist, or changes the one with this id. */
export function useKeepList() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, draft }: { id: string | undefined; draft: Draft }): Promise<KeptList> =>
      id
        ? need(api.PUT('/api/checklists/{id}', { params: { path: { id } }, body: draft }))
        : need(api.POST('/api/checklists', { body: draft })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useRetireList() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, retired }: { id: string; retired: boolean }) =>
      need(api.POST('/api/checklists/{id}/retire', { params: { path: { id } }, body: { retired } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** What a checklist would give; the answer of before stays while the next is on its way. */
export function useTryList(trying: Trying) {
  return useQuery({
    queryKey: queryKeys.tryChecklist(trying),
    queryFn: () => need(api.POST('/api/checklists/try', { body: trying })),
    enabled: trying.start !== '' && trying.list.items.length > 0,
    placeholderData: keepPreviousData,
    retry: false,
    gcTime: 60_000,
  });
}

export function useListVersions(id: string) {
  return useQuery({
    queryKey: queryKeys.checklistVersions(id),
    queryFn: async () => (await need(api.GET('/api/checklists/{id}/versions', { params: { path: { id } } }))).items,
  });
}

/** Open projects that came of an older version. */
export function useBehind(id: string, enabled: boolean) {
  return useQuery({
    queryKey: queryKeys.checklistBehind(id),
    queryFn: async () => (await need(api.GET('/api/checklists/{id}/behind', { params: { path: { id } } }))).items,
    enabled,
  });
}

export function useTakeOver() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, projects }: { id: string; projects: string[] }) =>
      need(api.POST('/api/checklists/{id}/take-over', { params: { path: { id } }, body: { projects } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

export function useImportLists() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { text: string; dry: boolean }) => need(api.POST('/api/checklists/import', { body })),
    onSuccess: (_, { dry }) => (dry ? undefined : queries.invalidateQueries()),
  });
}
