import { useQuery } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

export type Offers = Schema<'RuleList'>['offers'];

/** Who is here, and what can be named: stages, checklists, templates, fields. */
export function useOffers(wanted = true) {
  return useQuery({
    queryKey: queryKeys.rules,
    queryFn: () => need(api.GET('/api/rules')),
    enabled: wanted,
    select: (rules): Offers => rules.offers,
  });
}
