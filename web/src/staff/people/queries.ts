import { useQuery } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';

type Rules = Schema<'RuleList'>;

/** @param select a part of it, where no more is wanted; what is kept stays the whole */
export function useRuleList<T = Rules>(wanted = true, select?: (rules: Rules) => T) {
  return useQuery<Rules, Error, T>({
    queryKey: queryKeys.rules,
    queryFn: () => need(api.GET('/api/rules')),
    enabled: wanted,
    ...(select ? { select } : {}),
  });
}

export type Offers = Schema<'RuleList'>['offers'];

/** Who is here, and what can be named: stages, checklists, templates, fields. */
export function useOffers(wanted = true) {
  return useRuleList(wanted, (rules): Offers => rules.offers);
}
