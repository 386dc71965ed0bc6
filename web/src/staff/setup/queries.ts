import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Setup = Schema<'Setup'>;
export type CustomField = Schema<'CustomField'>;

export function useSetup() {
  return useQuery({ queryKey: queryKeys.setup, queryFn: () => need(api.GET('/api/setup')) });
}

function useSetupChange<T>(mutationFn: (input: T) => Promise<Setup>) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn,
    onSuccess: (setup) => {
      queries.setQueryData(queryKeys.setup, setup);
      void queries.invalidateQueries({ queryKey: queryKeys.kinds });
    },
  });
}

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
    need(api.PUT('/api/setup/custom-fields/{id}', { params: { path: { id } }, body })),
  );
