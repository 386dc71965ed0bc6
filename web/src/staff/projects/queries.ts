import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import type { paths } from '../../shared/contract';
import { queryKeys } from '../queryKeys';

export { useProject } from '../shell/asked';

type Asked = NonNullable<paths['/api/projects']['get']['parameters']['query']>;
/** As the list of projects is asked for, but for where a page begins. */
export type Narrowed = Omit<Asked, 'cursor'>;

const words = ['q', 'stage', 'outcome', 'lead', 'service', 'sort'] as const;

/** What the address of the list says of it; open projects where it says nothing of that. */
export function narrowedBy(search: URLSearchParams): Narrowed {
  const by: Partial<Record<(typeof words)[number], string>> = { outcome: 'open' };
  for (const word of words) {
    const value = search.get(word)?.trim();
    if (value) by[word] = value;
  }
  if (by.outcome === 'all') delete by.outcome;
  return by as Narrowed;
}

export function useProjects(query: Narrowed) {
  return useInfiniteQuery({
    queryKey: queryKeys.projects(query),
    queryFn: ({ pageParam }) =>
      need(api.GET('/api/projects', { params: { query: { ...query, ...(pageParam ? { cursor: pageParam } : {}) } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    placeholderData: keepPreviousData,
  });
}

export type ProjectEdit = Omit<Schema<'ProjectEdit'>, 'version'>;

/** Saves what was written about a project; what is not sent stays. */
export function useEditProject(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Schema<'ProjectEdit'>) =>
      need(api.PUT('/api/projects/{id}', { params: { path: { id } }, body })),
    onSuccess: (project) => queries.setQueryData(queryKeys.project(id), project),
    onSettled: () => void queries.invalidateQueries(),
  });
}

/** All tasks of a project in their order. */
export function useTasks(project: string) {
  return useQuery({
    queryKey: queryKeys.tasks(project),
    queryFn: async () => {
      const tasks: Schema<'Task'>[] = [];
      let cursor: string | null = '';
      while (cursor !== null) {
        const page: { items: Schema<'Task'>[]; next: string | null } = await need(
          api.GET('/api/tasks', { params: { query: { project, ...(cursor ? { cursor } : {}) } } }),
        );
        tasks.push(...page.items);
        cursor = page.next;
      }
      return tasks;
    },
  });
}

export function useFinishTask() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version }: Schema<'Task'>) =>
      need(api.POST('/api/tasks/{id}/finish', { params: { path: { id } }, body: { version } })),
    onSettled: () => queries.invalidateQueries(),
  });
}

type Project = Schema<'Project'>;
type TaskEdit = Schema<'TaskEdit'>;

/** Something done to a project or its tasks: whatever rests on it is fetched anew. */
function useProjectChange<T, R>(mutationFn: (input: T) => Promise<R>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn, onSettled: () => void queries.invalidateQueries() });
}

export const useOpenProject = () =>
  useProjectChange(({ key, body }: { key: string; body: Schema<'ProjectOpen'> }) =>
    need(api.POST('/api/projects', { body, params: { header: { 'Idempotency-Key': key } } })),
  );
export const useCopyProject = () =>
  useProjectChange(({ id, key }: { id: string; key: string }) =>
    need(api.POST('/api/projects/{id}/copy', { params: { path: { id }, header: { 'Idempotency-Key': key } } })),
  );
export const useCloseProject = () =>
  useProjectChange(
    ({ id, version, outcome, reason }: Pick<Project, 'id' | 'version'> & { outcome: 'won' | 'lost'; reason: string }) =>
      need(api.POST('/api/projects/{id}/close', { params: { path: { id } }, body: { version, outcome, reason } })),
  );
export const useReopenProject = () =>
  useProjectChange(({ id, version }: Pick<Project, 'id' | 'version'>) =>
    need(api.POST('/api/projects/{id}/reopen', { params: { path: { id } }, body: { version } })),
  );
export const useAddTask = () =>
  useProjectChange(({ key, ...body }: TaskEdit & { key: string }) =>
    need(api.POST('/api/tasks', { body, params: { header: { 'Idempotency-Key': key } } })),
  );
export const useEditTask = () =>
  useProjectChange(({ id, ...body }: TaskEdit & { id: string }) =>
    need(api.PUT('/api/tasks/{id}', { params: { path: { id } }, body })),
  );
export const useRemoveTask = () =>
  useProjectChange(({ id, version }: Pick<Schema<'Task'>, 'id' | 'version'>) =>
    need(api.DELETE('/api/tasks/{id}', { params: { path: { id }, query: { version } } })),
  );

/** Moves a project to another stage; rules that wait for that do their part. */
export function useMoveStage() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: { id: string; version: number; stage: string; reason?: string }) =>
      need(api.POST('/api/projects/{id}/stage', { params: { path: { id } }, body })),
    onSettled: () => queries.invalidateQueries(),
  });
}

/** What is ahead in a project, and what would move with another ready-by day. */
export function useSchedule(id: string, readyBy: string) {
  return useQuery({
    queryKey: queryKeys.schedule(id, readyBy),
    queryFn: () =>
      need(api.GET('/api/projects/{id}/schedule', { params: { path: { id }, query: readyBy ? { readyBy } : {} } })),
    retry: false,
  });
}

/** A change of a task that is looked at before it is made. */
export type Looked = Pick<TaskEdit, 'due' | 'takes' | 'waitsFor'> & { done?: boolean };

/** What a change of a task would move; nothing is kept by the look. */
export function useFollows({ id, version }: Schema<'Task'>, change: string) {
  return useQuery({
    queryKey: queryKeys.follows(id, version, change),
    queryFn: () =>
      need(api.POST('/api/tasks/{id}/follows', { params: { path: { id } }, body: JSON.parse(change) as Looked })),
    enabled: change !== 'null',
    // What is half written is refused, and that is said when it is saved.
    retry: false,
    placeholderData: (before) => before,
  });
}

export function useTaskNotes(id: string, enabled: boolean) {
  return useQuery({
    queryKey: queryKeys.taskNotes(id),
    queryFn: async () => (await need(api.GET('/api/tasks/{id}/notes', { params: { path: { id } } }))).items,
    enabled,
  });
}
export const useWriteNote = () =>
  useProjectChange(({ id, key, ...body }: { id: string; key: string; text: string; minutes: number }) =>
    need(api.POST('/api/tasks/{id}/notes', { params: { path: { id }, header: { 'Idempotency-Key': key } }, body })),
  );
export const useTickSteps = () =>
  useProjectChange(({ id, done }: { id: string; done: number[] }) =>
    need(api.POST('/api/tasks/{id}/steps', { params: { path: { id } }, body: { done } })),
  );

/** The checklists that can join a project. */
export function useChecklistsFor(id: string) {
  return useQuery({
    queryKey: queryKeys.checklistsFor(id),
    queryFn: async () => (await need(api.GET('/api/projects/{id}/checklists', { params: { path: { id } } }))).items,
  });
}
export function useChecklistPreview(id: string, checklist: string) {
  return useQuery({
    queryKey: queryKeys.checklistPreview(id, checklist),
    queryFn: () =>
      need(api.POST('/api/projects/{id}/checklists/preview', { params: { path: { id } }, body: { checklist } })),
    enabled: checklist !== '',
    retry: false,
  });
}
export const useAddChecklist = (id: string) =>
  useProjectChange((checklist: string) =>
    need(api.POST('/api/projects/{id}/checklists', { params: { path: { id } }, body: { checklist } })),
  );

/** Effort by person and week against the time that they are there. */
export function useLoad(enabled: boolean) {
  return useQuery({
    queryKey: queryKeys.load,
    queryFn: async () => (await need(api.GET('/api/load'))).items,
    enabled,
  });
}

/** Open projects by their stages. */
export function useWall() {
  return useQuery({ queryKey: queryKeys.wall, queryFn: () => need(api.GET('/api/wall')) });
}
