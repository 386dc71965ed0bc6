import { type Schema } from '../../shared/api';
import { useRuleList } from '../shell/asked';

export type Offers = Schema<'RuleList'>['offers'];

/** Who is here, and what can be named: stages, checklists, templates, fields. */
export function useOffers(wanted = true) {
  return useRuleList(wanted, (rules): Offers => rules.offers);
}
