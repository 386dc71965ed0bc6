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

/** What sets a rule off, as a sentence goes on after “when”. */
export const triggers: Record<Trigger, string> = {
  received: 'a submission comes',
  unfinished: 'somebody did not finish',
  accepted: 'a plan has been accepted',
  stage: 'a project comes to a stage',
  task: 'a task is finished',
  client: 'a client on file is changed',
};

/** Whether a rule speaks in a plan; the others act at once. */
export const isOfPlan = (when: Trigger): boolean => when === 'received' || when === 'unfinished';

export const actionWords: Record<ActionKind, string> = {
  task: 'add the task',
  checklist: 'join the checklist',
  lead: 'let it be led by',
  stage: 'begin in the stage',
  tag: 'tag',
  note: 'note in the project',
  notice: 'tell',
  message: 'send the client',
  owner: 'let the client be looked after by',
  field: 'set',
  wish: 'wish for',
  clock: 'start the reply clock anew',
};

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

export function freshAction(kind: ActionKind, offers: Offers): RuleAction {
  switch (kind) {
    case 'task':
      return { kind, name: '', doer: 'lead', days: '1' };
    case 'checklist':
      return { kind, checklist: offers.checklists[0]?.value ?? '' };
    case 'lead':
    case 'owner':
    case 'notice':
      return { kind, staff: offers.staff[0]?.value ?? '' };
    case 'stage':
      return { kind, stage: offers.stages[0]?.value ?? '' };
    case 'tag':
      return { kind, record: 'project', tag: '' };
    case 'note':
      return { kind, text: '' };
    case 'clock':
      return { kind };
    case 'message':
      return { kind, template: offers.templates[0]?.value ?? '' };
    case 'field':
      return { kind, record: 'client', field: 'organisation', value: '' };
    case 'wish':
      return { kind, about: 'appointment', text: '' };
  }
}

/** What the texts of a rule may name: answers of the forms that it is for, and what is known of a project. */
export function mergeFields(offers: Offers, rule: Editing): Schema<'Offer'>[] {
  const asked = offers.questions.filter(
    (one) => rule.forms.length === 0 || one.forms.some((form) => rule.forms.includes(form)),
  );
  return [
    ...(isOfPlan(rule.when) ? [] : offers.ofProject),
    ...asked.map((one) => ({ value: one.key, label: one.wording || one.key })),
  ];
}

/** What can be asked about beside the answers. */
const beside: DraftQuestion[] = [
  {
    key: '@client',
    type: 'one-of',
    wording: 'the client',
    options: [
      { value: 'new', label: 'new' },
      { value: 'known', label: 'known' },
      { value: 'household', label: 'of a known household' },
    ],
  },
  { key: '@client_tags', type: 'short-text', wording: 'the client’s tags' },
  {
    key: '@hours',
    type: 'one-of',
    wording: 'it came',
    options: [
      { value: 'inside', label: 'inside opening hours' },
      { value: 'outside', label: 'outside opening hours' },
    ],
  },
  {
    key: '@channel',
    type: 'one-of',
    wording: 'it came from',
    options: [
      { value: 'page', label: 'its page' },
      { value: 'embed', label: 'another site' },
    ],
  },
  { key: '@campaign', type: 'short-text', wording: 'the campaign' },
  { key: '@files', type: 'number', wording: 'how many files' },
  { key: '@finished', type: 'yes-no', wording: 'it was finished' },
];

/** Fields of a client on file. */
const ofClient = (offers: Offers): DraftQuestion[] => [
  { key: '@client.address', type: 'short-text', wording: 'the client’s address' },
  ...offers.fields
    .filter((one) => one.record === 'client' && one.field !== 'notes')
    .map((one): DraftQuestion => ({
      key: `@client.${one.field}`,
      type: 'short-text',
      wording: `the client’s ${one.label.replace(/^Client, /, '')}`,
    })),
];

/** What can be asked about where something happens to a project that is there. */
const ofProject = (offers: Offers): DraftQuestion[] => [
  { key: '@stage', type: 'one-of', wording: 'the project’s stage', options: offers.stages },
  { key: '@stage_before', type: 'one-of', wording: 'the stage before', options: offers.stages },
  { key: '@lead', type: 'one-of', wording: 'whoever leads', options: offers.staff },
  { key: '@project_tags', type: 'short-text', wording: 'the project’s tags' },
  { key: '@task', type: 'short-text', wording: 'the task' },
];

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
        questions: [...beside, ...ofClient(offers), ...(isOfPlan(when) ? [] : ofProject(offers)), ...questions],
      },
    ],
  };
}
