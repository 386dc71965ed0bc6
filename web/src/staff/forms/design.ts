import type { Condition } from '../../shared/condition';
import type { Schema } from '../../shared/api';

export type Kind = Schema<'Question'>['type'];

export interface DraftQuestion {
  key: string;
  type: Kind;
  wording: string;
  hint?: string;
  example?: string;
  required?: boolean;
  options?: { value: string; label: string }[];
  destination?: string;
  showIf?: Condition;
  requiredIf?: Condition;
  min?: string;
  max?: string;
  pattern?: string;
  message?: string;
  maxFiles?: number;
  half?: boolean;
  staffOnly?: boolean;
  parameter?: string;
}

export interface DraftPage {
  key: string;
  title: string;
  next: string;
  questions: DraftQuestion[];
}

export interface Definition {
  title: string;
  intro: string;
  privacy: string;
  thanks: string;
  promiseMinutes: number;
  dayOrder: 'day-first' | 'month-first' | 'unstated';
  checkPage?: boolean;
  steps: { when: string; what: string }[];
  pages: DraftPage[];
  endings?: { kind: 'thanks' | 'address' | 'form'; text: string; when?: Condition }[];
}

export const kinds: Record<Kind, string> = {
  'short-text': 'short text',
  'long-text': 'long text',
  'person-name': 'a person’s name',
  organisation: 'an organisation',
  email: 'email',
  phone: 'phone',
  address: 'address',
  number: 'a number',
  money: 'a sum of money',
  day: 'a day',
  time: 'a time',
  'one-of': 'one of several',
  'any-of': 'any of several',
  'yes-no': 'yes or no',
  scale: 'scale 0 to 10',
  rating: 'rating 1 to 5',
  files: 'photographs and files',
  consent: 'consent',
  statement: 'a text, no answer',
  hidden: 'hidden value',
};

export const destinations: Record<string, string> = {
  'client.name': 'client, name',
  'client.email': 'client, email',
  'client.phone': 'client, phone',
  'asset.description': 'asset, what it is',
  'asset.place': 'asset, where it stands',
  'project.service': 'project, service',
  'project.ready_by': 'project, ready by',
  'project.notes': 'project, notes',
  files: 'files of the project and the asset',
};

/** Where an answer of each kind may go; the likely one first. The server has the last word. */
const fitting: Partial<Record<Kind, string[]>> = {
  'person-name': ['client.name', 'project.notes'],
  organisation: ['client.name', 'project.notes'],
  email: ['client.email', 'project.notes'],
  phone: ['client.phone', 'project.notes'],
  address: ['asset.place', 'project.notes'],
  day: ['project.ready_by', 'project.notes'],
  'one-of': ['project.service', 'asset.description', 'project.notes'],
  'short-text': ['asset.description', 'asset.place', 'client.name', 'project.service', 'project.notes'],
  'long-text': ['project.notes', 'asset.description'],
  files: ['files'],
  statement: [],
};

export function destinationsFor(kind: Kind): string[] {
  return fitting[kind] ?? ['project.notes'];
}

/** The definition as the server gave it, with what may be missing filled in. */
export function complete(given: Record<string, unknown>): Definition {
  const definition = given as Partial<Omit<Definition, 'pages'>> & { pages?: Partial<DraftPage>[] };
  return {
    ...definition,
    title: definition.title ?? '',
    intro: definition.intro ?? '',
    privacy: definition.privacy ?? '',
    thanks: definition.thanks ?? '',
    promiseMinutes: definition.promiseMinutes ?? 120,
    dayOrder: definition.dayOrder ?? 'unstated',
    steps: definition.steps ?? [],
    pages: (definition.pages ?? []).map((page, i) => ({
      key: page.key ?? `page_${i + 1}`,
      title: page.title ?? '',
      next: page.next ?? '',
      questions: page.questions ?? [],
    })),
  };
}

export function questionsOf(definition: Definition): DraftQuestion[] {
  return definition.pages.flatMap((page) => page.questions);
}

/** Questions whose conditions ask about this one. */
export function dependents(definition: Definition, key: string): DraftQuestion[] {
  return questionsOf(definition).filter((question) =>
    [question.showIf, question.requiredIf].some((condition) => condition && asks(condition, key)),
  );
}

function asks(condition: Condition, key: string): boolean {
  if ('all' in condition) return condition.all.some((part) => asks(part, key));
  if ('any' in condition) return condition.any.some((part) => asks(part, key));
  if ('not' in condition) return asks(condition.not, key);
  return condition.question === key;
}

function mapQuestions(definition: Definition, change: (questions: DraftQuestion[]) => DraftQuestion[]): Definition {
  return { ...definition, pages: definition.pages.map((page) => ({ ...page, questions: change(page.questions) })) };
}

export function changeQuestion(definition: Definition, key: string, part: Partial<DraftQuestion>): Definition {
  return mapQuestions(definition, (questions) =>
    questions.map((question) => (question.key === key ? { ...question, ...part } : question)),
  );
}

/** Takes a question out, and with it the conditions that ask about it. */
export function removeQuestion(definition: Definition, key: string): Definition {
  return mapQuestions(definition, (questions) =>
    questions
      .filter((question) => question.key !== key)
      .map((question) => {
        const left = { ...question };
        if (left.showIf && asks(left.showIf, key)) delete left.showIf;
        if (left.requiredIf && asks(left.requiredIf, key)) delete left.requiredIf;
        return left;
      }),
  );
}

/** A key that no question has: question_1, question_2, … */
function freshKey(definition: Definition): string {
  const taken = new Set(questionsOf(definition).map((question) => question.key));
  for (let n = taken.size + 1; ; n++) if (!taken.has(`question_${n}`)) return `question_${n}`;
}

/** Adds a question behind another, or at the end. */
export function addQuestion(
  definition: Definition,
  behind: string | null,
  kind: Kind = 'short-text',
): { definition: Definition; key: string } {
  const key = freshKey(definition);
  const question: DraftQuestion = { key, type: kind, wording: '' };
  const last = definition.pages.length - 1;
  const pages = definition.pages.map((page, i) => {
    const place = page.questions.findIndex((one) => one.key === behind);
    if (place >= 0) return { ...page, questions: page.questions.toSpliced(place + 1, 0, question) };
    const nowhere = !questionsOf(definition).some((one) => one.key === behind);
    return nowhere && i === last ? { ...page, questions: [...page.questions, question] } : page;
  });
  return { definition: { ...definition, pages }, key };
}

/** Moves a question one place up or down, over the edges of pages too. */
export function moveQuestion(definition: Definition, key: string, step: -1 | 1): Definition {
  const pages = definition.pages.map((page) => ({ ...page, questions: [...page.questions] }));
  for (const [i, page] of pages.entries()) {
    const place = page.questions.findIndex((question) => question.key === key);
    const question = page.questions[place];
    if (!question) continue;
    page.questions.splice(place, 1);
    const to = place + step;
    const neighbour = pages[i + step];
    if (to < 0 || to > page.questions.length) {
      if (!neighbour) return definition;
      if (step < 0) neighbour.questions.push(question);
      else neighbour.questions.unshift(question);
    } else {
      page.questions.splice(to, 0, question);
    }
    return { ...definition, pages };
  }
  return definition;
}

export function addPage(definition: Definition): Definition {
  const n = definition.pages.length + 1;
  const pages = definition.pages.map((page, i) => (i === n - 2 && page.next === '' ? { ...page, next: 'On' } : page));
  return {
    ...definition,
    pages: [...pages, { key: `page_${n}_${Date.now().toString(36)}`, title: `Page ${n}`, next: 'Send', questions: [] }],
  };
}

export function changePage(definition: Definition, key: string, part: Partial<DraftPage>): Definition {
  return { ...definition, pages: definition.pages.map((page) => (page.key === key ? { ...page, ...part } : page)) };
}

/** Takes an empty page out. */
export function removePage(definition: Definition, key: string): Definition {
  return { ...definition, pages: definition.pages.filter((page) => page.key !== key || page.questions.length > 0) };
}

/** A condition in words, with the questions by their numbers. */
export function conditionWords(condition: Condition, definition: Definition): string {
  if ('all' in condition)
    return condition.all.map((part) => conditionWords(part, definition)).join(' and ') || 'always';
  if ('any' in condition) return condition.any.map((part) => conditionWords(part, definition)).join(' or ') || 'never';
  if ('not' in condition) return `not (${conditionWords(condition.not, definition)})`;
  const number = questionsOf(definition).findIndex((question) => question.key === condition.question) + 1;
  const values = condition.values ?? (condition.value === undefined ? [] : [condition.value]);
  return `${number > 0 ? number : `“${condition.question}”`} ${operatorWords[condition.op]} ${values.join(', ')}`.trim();
}

export const operatorWords: Record<string, string> = {
  is: 'is',
  'is-one-of': 'is one of',
  contains: 'contains',
  'is-blank': 'is blank',
  'more-than': 'is more than',
  'at-most': 'is at most',
  before: 'is before',
  after: 'is after',
  'within-days': 'is within the next days:',
  between: 'is between',
};

/** The ways in which an answer of this kind can be asked about. */
export function operatorsFor(kind: Kind): string[] {
  switch (kind) {
    case 'number':
    case 'money':
    case 'scale':
    case 'rating':
      return ['more-than', 'at-most', 'between', 'is', 'is-blank'];
    case 'day':
      return ['before', 'after', 'within-days', 'between', 'is-blank'];
    case 'one-of':
    case 'any-of':
    case 'yes-no':
    case 'consent':
      return ['is', 'is-one-of', 'is-blank'];
    default:
      return ['contains', 'is', 'is-blank'];
  }
}

/** The draft as the public would get it, for the preview and for trying. */
export function asPublic(definition: Definition, today: string): Schema<'PublicForm'> {
  let number = 0;
  return {
    slug: 'preview',
    title: definition.title,
    intro: definition.intro,
    privacy: definition.privacy,
    steps: definition.steps,
    dayOrder: definition.dayOrder,
    today,
    checkPage: definition.checkPage ?? false,
    business: { name: '', phone: '', phoneText: '', hours: '', address: '', drawing: '' },
    pages: definition.pages.map((page) => ({
      key: page.key,
      title: page.title,
      next: page.next,
      questions: page.questions.map((question) => ({
        key: question.key,
        number: ++number,
        type: question.type,
        wording: question.wording,
        hint: question.hint ?? '',
        example: question.example ?? '',
        required: question.required ?? false,
        options: question.options ?? [],
        maxLength: 4000,
        maxFiles: question.maxFiles ?? 8,
        maxBytes: 10_485_760,
        min: question.min ?? '',
        max: question.max ?? '',
        half: question.half ?? false,
        parameter: question.parameter ?? '',
        showIf: (question.showIf ?? null) as Record<string, never> | null,
        requiredIf: (question.requiredIf ?? null) as Record<string, never> | null,
      })),
    })),
  };
}
