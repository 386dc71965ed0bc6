import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../../shared/api';
import { queryKeys } from '../../queryKeys';

export type Room = Schema<'NoticeRoom'>;
export type Notice = Schema<'Notice'>;

export function useRooms() {
  return useQuery({
    queryKey: queryKeys.rooms,
    queryFn: () => need(api.GET('/api/notice-rooms')),
    refetchInterval: 20_000,
  });
}

/** Notices of a room; of all rooms that one belongs to where none is named. */
export function useNotices(room: string) {
  return useInfiniteQuery({
    queryKey: queryKeys.notices(room),
    queryFn: ({ pageParam }) =>
      need(
        api.GET('/api/notices', {
          params: { query: { ...(room ? { room } : {}), ...(pageParam ? { cursor: pageParam } : {}) } },
        }),
      ),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
    refetchInterval: 20_000,
  });
}

type Act =
  | { what: 'seen'; notices: string[] }
  | { what: 'take'; id: string; taken: boolean }
  | { what: 'write'; key: string; room: string; words: string }
  | { what: 'room'; id: string; edit: Schema<'NoticeRoomEdit'> };

/** What one does on the board. */
export function useBoard() {
  const queries = useQueryClient();
  return useMutation<unknown, Error, Act>({
    mutationFn: (act) => {
      switch (act.what) {
        case 'seen':
          return need(api.POST('/api/notices/seen', { body: { notices: act.notices } }));
        case 'take':
          return need(
            api.POST('/api/notices/{id}/take', { params: { path: { id: act.id } }, body: { taken: act.taken } }),
          );
        case 'write':
          return need(
            api.POST('/api/notices', {
              params: { header: { 'Idempotency-Key': act.key } },
              body: { room: act.room, words: act.words },
            }),
          );
        case 'room':
          return act.id
            ? need(api.PUT('/api/notice-rooms/{id}', { params: { path: { id: act.id } }, body: act.edit }))
            : need(api.POST('/api/notice-rooms', { body: act.edit }));
      }
    },
    onSettled: () => queries.invalidateQueries(),
  });
}
