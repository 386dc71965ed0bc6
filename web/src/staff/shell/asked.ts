import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';

/**
 * What more than one area asks of the server. A key has one hook and so one shape: two that keep different things under
 * one name break each other, by the order in which the screens were opened. `asked.test.ts` looks for a second one.
 */

export function useFormList() {
  return useQuery({ queryKey: queryKeys.forms, queryFn: async () => (await need(api.GET('/api/forms'))).items });
}

export function useTemplateList() {
  return useQuery({
    queryKey: queryKeys.templates,
    queryFn: async () => (await need(api.GET('/api/templates'))).items,
  });
}

export function useFileList(of: 'client' | 'project', id: string) {
  return useQuery({
    queryKey: queryKeys.filesOf(of, id),
    queryFn: () => need(api.GET('/api/files', { params: { query: { [of]: id } } })),
    enabled: id !== '',
  });
}

export function useVisit(id: string) {
  return useQuery({
    queryKey: queryKeys.appointment(id),
    queryFn: () => need(api.GET('/api/appointments/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  });
}

export function useClient(id: string) {
  return useQuery({
    queryKey: queryKeys.client(id),
    queryFn: () => need(api.GET('/api/clients/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  });
}

export function useProject(id: string) {
  return useQuery({
    queryKey: queryKeys.project(id),
    queryFn: () => need(api.GET('/api/projects/{id}', { params: { path: { id } } })),
    enabled: id !== '',
  });
}

export function useMessageList(of: 'client' | 'project', id: string) {
  return useQuery({
    queryKey: queryKeys.messagesOf(of, id),
    queryFn: () => need(api.GET('/api/messages', { params: { query: { [of]: id } } })),
  });
}
