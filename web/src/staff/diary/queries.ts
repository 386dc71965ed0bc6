import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { queryKeys } from '../queryKeys';

export { useVisit as useAppointment } from '../shell/asked';

export type Diary = Schema<'Diary'>;
export type Visit = Schema<'Appointment'>;
export type VisitEdit = Schema<'AppointmentEdit'>;
export type Setup = Schema<'VisitTypes'>;
export type Kind = Setup['types'][number];

export function useDiary(from: string, to: string) {
  return useQuery({
    queryKey: queryKeys.diary(from, to),
    queryFn: () => need(api.GET('/api/diary', { params: { query: { from, to } } })),
    placeholderData: keepPreviousData,
    refetchInterval: 15_000,
  });
}

export function useVisitTypes(wanted = true) {
  return useQuery({
    queryKey: queryKeys.visitTypes,
    queryFn: () => need(api.GET('/api/diary/types')),
    enabled: wanted,
  });
}

/** What a visit is looked for. */
export interface Wanted {
  type: string;
  length: number;
  client: string;
  project: string;
  submission: string;
  with: string;
  part: 'any' | 'morning' | 'afternoon';
  from: string;
  /** Typed here; what is known of them where it is not there. */
  address?: string;
}

export function useGoodTimes(by: Wanted, on: boolean) {
  return useQuery({
    queryKey: queryKeys.goodTimes(by),
    queryFn: () => {
      const { length, ...rest } = by;
      return need(api.GET('/api/diary/good-times', { params: { query: { ...rest, ...(length ? { length } : {}) } } }));
    },
    enabled: on,
    placeholderData: keepPreviousData,
  });
}

/** Places, moves and marks appointments. */
export function useKeepDiary() {
  const queries = useQueryClient();
  const onSettled = () => void queries.invalidateQueries();
  return {
    place: useMutation({
      mutationFn: (body: VisitEdit & { key?: string }) => {
        const { key, ...edit } = body;
        return need(
          api.POST('/api/appointments', { params: { header: { 'Idempotency-Key': key ?? newKey() } }, body: edit }),
        );
      },
      onSettled,
    }),
    change: useMutation({
      mutationFn: ({ id, ...body }: VisitEdit & { id: string }) =>
        need(api.PUT('/api/appointments/{id}', { params: { path: { id } }, body })),
      onSettled,
    }),
    mark: useMutation({
      mutationFn: ({ id, state }: { id: string; state: 'booked' | 'held' | 'missed' | 'cancelled' }) =>
        need(api.PUT('/api/appointments/{id}/state', { params: { path: { id } }, body: { state } })),
      onSettled,
    }),
    takeOff: useMutation({
      mutationFn: (id: string) => need(api.DELETE('/api/diary/waiting/{id}', { params: { path: { id } } })),
      onSettled,
    }),
  };
}

/** What a time would break and what it would take along, as it is typed; not asked while it is no other time. */
export function useTimeLooked(body: VisitEdit | null) {
  return useQuery({
    queryKey: queryKeys.appointmentLooked(JSON.stringify(body)),
    queryFn: () => checkTime(body ?? {}),
    enabled: body !== null,
  });
}

export function checkTime(body: VisitEdit) {
  return need(api.POST('/api/appointments/check', { body }));
}

export function useVisitsOf(of: 'client' | 'project', id: string) {
  return useQuery({
    queryKey: queryKeys.appointmentsOf(of, id),
    queryFn: () => need(api.GET('/api/appointments', { params: { query: { [of]: id } } })),
  });
}
