import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, ProblemError, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { readSpans } from './hours';

export type Setup = Schema<'Setup'>;
export type CustomField = Schema<'CustomField'>;
export type SetupStaff = Schema<'SetupStaff'>;
type Part<T> = T & { id: string };

export function useSetup() {
  return useQuery({ queryKey: queryKeys.setup, queryFn: () => need(api.GET('/api/setup')) });
}

/** A change of the settings: everything that was made of them is fetched anew. */
function useSetupChange<T, R extends Setup | Schema<'SetupWithPassword'> = Setup>(
  mutationFn: (input: T) => Promise<R>,
) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: (answer) => {
      queries.setQueryData(queryKeys.setup, 'setup' in answer ? answer.setup : answer);
      for (const queryKey of [
        queryKeys.kinds,
        queryKeys.rules,
        queryKeys.session,
        queryKeys.lastChange,
        queryKeys.day,
        queryKeys.allSubmissions,
        ['projects'],
        ['clients'],
      ]) {
        void queries.invalidateQueries({ queryKey });
      }
    },
  });
}

function unread(path: string): never {
  const message = 'Write it like 09:00 to 17:30.';
  throw new ProblemError({ type: '', title: '', status: 422, detail: message, violations: [{ path, message }] });
}

const by = (id: string) => ({ params: { path: { id } } });

export const useIntake = () =>
  useSetupChange((body: { shortensAddresses: boolean; unfinishedMinutes: number }) =>
    need(api.PUT('/api/setup/intake', { body })),
  );
export const useMatching = () =>
  useSetupChange((body: Pick<Setup, 'sameFrom' | 'perhapsFrom' | 'againDays'>) =>
    need(api.PUT('/api/setup/matching', { body })),
  );
export const useAddField = () =>
  useSetupChange((body: Pick<CustomField, 'record' | 'label' | 'kind' | 'choices'>) =>
    need(api.POST('/api/setup/custom-fields', { body })),
  );
export const useChangeField = () =>
  useSetupChange(({ id, ...body }: Pick<CustomField, 'id' | 'label' | 'choices' | 'retired'>) =>
    need(api.PUT('/api/setup/custom-fields/{id}', { ...by(id), body })),
  );
export const useBusiness = () =>
  useSetupChange((body: Schema<'BusinessEdit'>) => need(api.PUT('/api/setup/business', { body })));
export const useHours = () =>
  useSetupChange((hours: Setup['hours']) => need(api.PUT('/api/setup/hours', { body: { hours } })));
export const useLists = () =>
  useSetupChange((body: Schema<'ListsEdit'>) => need(api.PUT('/api/setup/lists', { body })));
export const useClosures = () =>
  useSetupChange(({ id, remove, ...body }: Schema<'ClosureEdit'> & { id: string | null; remove?: true }) =>
    need(
      id === null
        ? api.POST('/api/setup/closures', { body })
        : remove
          ? api.DELETE('/api/setup/closures/{id}', by(id))
          : api.PUT('/api/setup/closures/{id}', { ...by(id), body }),
    ),
  );
export const useAddStaff = () =>
  useSetupChange((body: Schema<'StaffEdit'>) => need(api.POST('/api/setup/staff', { body })));
export const useChangeStaff = () =>
  useSetupChange(({ id, ...body }: Part<Schema<'StaffEdit'>>) =>
    need(api.PUT('/api/setup/staff/{id}', { ...by(id), body })),
  );
/** Hours of their own as they are written, a text a day; or those of the business. */
export const useStaffHours = () =>
  useSetupChange(({ id, own, texts, zone }: Part<{ own: boolean; texts: string[]; zone: string }>) => {
    const hours = texts.map((text, i) => ({ day: i + 1, spans: readSpans(text) ?? unread(`day${i + 1}`) }));
    return need(api.PUT('/api/setup/staff/{id}', { ...by(id), body: { hours: own ? hours : [], zone } }));
  });
export const useAbsence = () =>
  useSetupChange(
    ({ of, ...body }: { of: string } & ({ first: string; last: string; note: string } | { absence: string })) =>
      need(
        'absence' in body
          ? api.DELETE('/api/setup/staff/{id}/absences/{absence}', {
              params: { path: { id: of, absence: body.absence } },
            })
          : api.POST('/api/setup/staff/{id}/absences', { ...by(of), body }),
      ),
  );
export const useInvite = () =>
  useSetupChange((id: string) => need(api.POST('/api/setup/staff/{id}/invitation', by(id))));
export const useTagChange = () =>
  useSetupChange((body: { tag: string; to?: string }) =>
    need(
      body.to === undefined
        ? api.DELETE('/api/setup/tags', { params: { query: { tag: body.tag } } })
        : api.PUT('/api/setup/tags', { body: { tag: body.tag, to: body.to } }),
    ),
  );
export const useLogo = () =>
  useSetupChange((file: File | null) => {
    if (!file) return need(api.DELETE('/api/setup/logo'));
    const body = new FormData();
    body.append('file', file);
    return need(api.POST('/api/setup/logo', { body: body as never, bodySerializer: () => body }));
  });
export const useNewPassword = () =>
  useSetupChange((id: string) => need(api.POST('/api/setup/staff/{id}/password', by(id))));
export const useLeaving = () =>
  useSetupChange(({ id, handTo }: Part<{ handTo: string }>) =>
    need(api.POST('/api/setup/staff/{id}/leaving', { ...by(id), body: { handTo } })),
  );
export const useAddService = () =>
  useSetupChange((body: Schema<'ServiceEdit'>) => need(api.POST('/api/setup/services', { body })));
export const useChangeService = () =>
  useSetupChange(({ id, ...body }: Part<Schema<'ServiceEdit'>>) =>
    need(api.PUT('/api/setup/services/{id}', { ...by(id), body })),
  );
export const useAddStage = () =>
  useSetupChange((body: Schema<'StageEdit'>) => need(api.POST('/api/setup/stages', { body })));
export const useChangeStage = () =>
  useSetupChange(({ id, ...body }: Part<Schema<'StageEdit'>>) =>
    need(api.PUT('/api/setup/stages/{id}', { ...by(id), body })),
  );
export const useRemoveStage = () =>
  useSetupChange(({ id, to }: Part<{ to: string }>) =>
    need(api.DELETE('/api/setup/stages/{id}', { params: { path: { id }, query: to ? { to } : {} } })),
  );
export const useMessaging = () =>
  useSetupChange(
    (
      body: Partial<
        Record<'signature' | 'replyThreshold' | 'mailServer' | 'quietFrom' | 'quietUntil' | 'mailsAnHour', string>
      > & {
        quietDays?: Schema<'QuietDays'>;
      },
    ) => need(api.PUT('/api/setup/messages', { body })),
  );

export function useDaysOff() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { file: string; staff: string; dry: boolean }) =>
      need(api.POST('/api/setup/days-off/read', { body })),
    onSuccess: (_, { dry }) => (dry ? undefined : queries.invalidateQueries()),
  });
}
