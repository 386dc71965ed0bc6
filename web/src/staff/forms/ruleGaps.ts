import type { Schema } from '../../shared/api';
import type { Condition } from '../../shared/condition';
import { questionsOf, type Definition } from './design';

type Rule = Pick<Schema<'HandlingRule'>, 'id' | 'name' | 'enabled' | 'forms' | 'if'>;

export interface RuleGap {
  id: string;
  words: string;
}

/** Rules, switched on, that would ask in vain once this stands: about a question or a choice that is not there any more. */
export function ruleGaps(rules: Rule[], slug: string, definition: Definition): RuleGap[] {
  const questions = new Map(questionsOf(definition).map((question) => [question.key, question]));
  return rules.flatMap((rule) => {
    if (!rule.enabled || !rule.if || (rule.forms.length > 0 && !rule.forms.includes(slug))) return [];
    for (const asked of leaves(rule.if as unknown as Condition)) {
      const question = questions.get(asked.question);
      if (!question) {
        // Of a rule for several forms another one may ask that; what begins with @ is known without asking.
        if (rule.forms.length === 1 && !asked.question.startsWith('@'))
          return [{ id: rule.id, words: `The rule “${rule.name}” asks about a question that is not here any more` }];
        continue;
      }
      const choices = question.options?.map((option) => option.value) ?? [];
      const named = [...(asked.values ?? []), ...(asked.op === 'is' && asked.value !== undefined ? [asked.value] : [])];
      if (choices.length > 0 && named.some((value) => !choices.includes(value)))
        return [
          {
            id: rule.id,
            words: `The rule “${rule.name}” asks about a choice of “${question.wording}” that is not here any more`,
          },
        ];
    }
    return [];
  });
}

function leaves(condition: Condition): Extract<Condition, { question: string }>[] {
  if ('all' in condition) return condition.all.flatMap(leaves);
  if ('any' in condition) return condition.any.flatMap(leaves);
  if ('not' in condition) return leaves(condition.not);
  return [condition];
}
