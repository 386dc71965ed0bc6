import type { Schema } from '../../shared/api';
import type { Condition } from '../../shared/condition';
import type { Definition, DraftQuestion, Kind } from '../definition/design';
import type { KeptRule, Offers, RuleAction, RuleDraft } from './queries';

export type ActionKind = RuleAction['kind'];

/** A rule as it is edited: everything there, the condition as the editor has it. */
export interface Editing extends Omit<RuleDraft, 'if'> {
  id?: string;
  why: string;
  enabled: boolean;
  forms: string[];
  if?: Condition | undefined;
  from: string;
  until: string;
  acceptsByItself: boolean;
  when: Trigger;
  what: string;
  alsoByHand: boolean;
}

export type Trigger = KeptRule['when'];

/** What is known of a trigger; the first of the list where it is not there. */
export function triggerOf(offers: Offers, when: Trigger): Schema<'RuleTrigger'> | undefined {
  return offers.triggers.find((one) => one.value === when);
}

/** What an action is called, as a sentence begins. */
export function phraseOf(offers: Offers | undefined, kind: ActionKind): string {
  return offers?.actions.find((one) => one.value === kind)?.label ?? kind;
}

/** The choices of a value: those of its own, and those of the list that it names. */
export function choicesOf(field: Schema<'RuleField'>, offers: Offers): Schema<'Offer'>[] {
  if (field.kind === 'field')
    return offers.fields.map((one) => ({ value: `${one.record} ${one.field}`, label: one.label }));
  const listed = (offers as unknown as Record<string, Schema<'Offer'>[] | undefined>)[field.from] ?? [];
  return [...field.options, ...listed];
}

export const fresh: Editing = {
  name: '',
  why: '',
  enabled: false,
  forms: [],
  if: undefined,
  then: [],
  from: '',
  until: '',
  acceptsByItself: false,
  when: 'received',
  what: '',
  alsoByHand: false,
};

export function editing(kept: KeptRule): Editing {
  return {
    id: kept.id,
    version: kept.version,
    name: kept.name,
    why: kept.why,
    enabled: kept.enabled,
    forms: kept.forms,
    if: (kept.if ?? undefined) as Condition | undefined,
    then: kept.then,
    from: kept.from,
    until: kept.until,
    acceptsByItself: kept.acceptsByItself,
    when: kept.when,
    what: kept.what,
    alsoByHand: kept.alsoByHand,
  };
}

export function draft(rule: Editing): RuleDraft {
  const { if: condition, ...rest } = rule;
  return { ...rest, if: (condition ?? null) as RuleDraft['if'] };
}

/** An action as it begins: every choice at its first, every text empty. */
export function freshAction(kind: ActionKind, offers: Offers): RuleAction {
  const fields = offers.actions.find((one) => one.value === kind)?.fields ?? [];
  const begun = fields.map((field): Partial<RuleAction> => {
    const first = choicesOf(field, offers)[0]?.value ?? '';
    if (field.kind === 'field') {
      const [record = '', name = ''] = first.split(' ');
      return { record, field: name };
    }
    return { [field.name]: field.kind === 'number' ? '1' : first };
  });
  return Object.assign({ kind }, ...begun) as RuleAction;
}

/** What the texts of a rule may name: answers of the forms that it is for, and what is known of a project. */
export function mergeFields(offers: Offers, rule: Editing): Schema<'Offer'>[] {
  const asked = offers.questions.filter(
    (one) => rule.forms.length === 0 || one.forms.some((form) => rule.forms.includes(form)),
  );
  return [
    ...(triggerOf(offers, rule.when)?.ofPlan ? [] : offers.ofProject),
    ...asked.map((one) => ({ value: one.key, label: one.wording || one.key })),
  ];
}

/** A question as the chosen forms word it; where none is chosen, with the forms that ask it. */
function wordingIn(question: Offers['questions'][number], offers: Offers, forms: string[]): string {
  const asked = question.forms.flatMap((form, i) =>
    forms.length === 0 || forms.includes(form)
      ? [{ form: offers.forms.find((one) => one.value === form)?.label ?? form, wording: question.wordings[i] ?? '' }]
      : [],
  );
  const wordings = [...new Set(asked.map((one) => one.wording))];
  if (forms.length === 1) return wordings[0] ?? question.wording;
  return wordings
    .map((wording) => {
      const where = asked.filter((one) => one.wording === wording).map((one) => one.form);
      return `${wording} (${where.join(', ')})`;
    })
    .join(' / ');
}

/** What the condition may ask about, in the shape that the condition editor knows. */
export function askable(offers: Offers, forms: string[], when: Trigger = 'received'): Definition {
  const questions = offers.questions
    .filter((question) => forms.length === 0 || question.forms.some((form) => forms.includes(form)))
    .map((question): DraftQuestion => ({
      key: question.key,
      type: question.type as Kind,
      wording: wordingIn(question, offers, forms),
      options: question.options,
    }));
  const ofPlan = triggerOf(offers, when)?.ofPlan ?? true;
  const facts = offers.facts
    .filter((fact) => !ofPlan || !fact.ofProject)
    .map((fact): DraftQuestion => ({ ...fact, type: fact.type as Kind }));
  return {
    title: '',
    intro: '',
    privacy: '',
    thanks: '',
    promiseMinutes: 0,
    dayOrder: 'unstated',
    steps: [],
    pages: [
      {
        key: 'all',
        title: '',
        next: '',
        questions: [...facts, ...questions],
      },
    ],
  };
}
