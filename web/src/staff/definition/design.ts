import { asks } from '../../form/answers';
import { kinds } from '../../form/kinds';
import type { Condition } from '../../shared/condition';
import type { Schema } from '../../shared/api';

export type Kind = Schema<'Question'>['type'];

export type PriorityPart = 'need' | 'budget' | 'authority' | 'start';

export interface DraftQuestion {
  key: string;
  type: Kind;
  wording: string;
  hint?: string;
  example?: string;
  required?: boolean;
  options?: { value: string; label: string; also?: string[] }[];
  /** What its answers count, for the order of arrivals. */
  points?: { part: PriorityPart; steps: { at: string; points: number }[] };
  destination?: string;
  showIf?: Condition;
  requiredIf?: Condition;
  min?: string;
  max?: string;
  pattern?: string;
  message?: string;
  minLength?: number;
  maxLength?: number;
  maxFiles?: number;
  maxBytes?: number;
  fileKinds?: 'any' | 'images' | 'pdf';
  half?: boolean;
  third?: boolean;
  staffOnly?: boolean;
  parameter?: string;
  default?: string;
  asList?: boolean;
  /** What each line of a table asks. */
  lines?: DraftQuestion[];
  maxLines?: number;
  picture?: string;
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
  copy?: boolean;
  purpose?: '' | 'open' | 'add' | 'file';
  steps: { when: string; what: string }[];
  pages: DraftPage[];
  endings?: { kind: 'thanks' | 'address' | 'form'; text: string; when?: Condition }[];
}

/** What the designer says of a kind. */
export function designed(kind: Kind) {
  return kinds[kind].designed;
}

export type KnownKinds = Schema<'FormKinds'>;

/** Where answers of a kind may go, the usual place first, as the server says. */
export function destinationsFor(known: KnownKinds, kind: Kind): string[] {
  return known.kinds.find((one) => one.kind === kind)?.destinations ?? [];
}

export function destinationLabel(known: KnownKinds, name: string): string {
  return known.destinations.find((one) => one.name === name)?.label ?? `“${name}”, which is not there`;
}

/** The likely place: one whose words stand in the wording, or else the usual one. */
export function likelyFor(known: KnownKinds, kind: Kind, wording: string): string | undefined {
  const fits = destinationsFor(known, kind);
  const said = wording.toLowerCase();
  const named = fits.find((name) =>
    known.destinations
      .find((one) => one.name === name)
      ?.words.some((word) => new RegExp(`\\b${word.replace(/[^\p{L}\p{N} ]/gu, '.')}`, 'u').test(said)),
  );
  return named ?? fits[0];
}

/** What a question of another kind keeps, and what it begins with. */
export function ofKind(known: KnownKinds, question: DraftQuestion, type: Kind): Partial<DraftQuestion> {
  const part: Partial<DraftQuestion> = { type };
  if (!destinationsFor(known, type).includes(question.destination ?? '')) part.destination = '';
  if ((type === 'one-of' || type === 'any-of') && !question.options?.length)
    part.options = [
      { value: freshValue(), label: 'First' },
      { value: freshValue(), label: 'Second' },
    ];
  if (type === 'lines' && !question.lines?.length) part.lines = [{ key: 'what', type: 'short-text', wording: 'What' }];
  return part;
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
    [question.showIf, question.requiredIf].some((condition) => condition && asksAbout(condition, key)),
  );
}

function asksAbout(condition: Condition, key: string): boolean {
  if ('all' in condition) return condition.all.some((part) => asksAbout(part, key));
  if ('any' in condition) return condition.any.some((part) => asksAbout(part, key));
  if ('not' in condition) return asksAbout(condition.not, key);
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
        if (left.showIf && asksAbout(left.showIf, key)) delete left.showIf;
        if (left.requiredIf && asksAbout(left.requiredIf, key)) delete left.requiredIf;
        return left;
      }),
  );
}

/** Letters and figures that nothing else has. */
function unlike(length: number): string {
  const letters = 'abcdefghijkmnpqrstuvwxyz23456789';
  return [...crypto.getRandomValues(new Uint8Array(length))].map((byte) => letters[byte % letters.length]).join('');
}

/** A key that no question has, in this form or in any other: rules ask about answers by it. */
function freshKey(): string {
  return `q_${unlike(10)}`;
}

/** The value of a new choice: it stays the choice’s own, wherever it stands and whatever it says. */
export function freshValue(): string {
  return `c_${unlike(8)}`;
}

/** How many conditions and endings of a form ask for a choice. */
export function conditionsAbout(definition: Definition, key: string, value: string): number {
  const count = (condition: Condition | undefined): number => {
    if (!condition) return 0;
    if ('all' in condition) return condition.all.reduce((sum, part) => sum + count(part), 0);
    if ('any' in condition) return condition.any.reduce((sum, part) => sum + count(part), 0);
    if ('not' in condition) return count(condition.not);
    const values = condition.values ?? (condition.value === undefined ? [] : [condition.value]);
    return condition.question === key && values.includes(value) ? 1 : 0;
  };
  const conditions = [
    ...questionsOf(definition).flatMap((question) => [question.showIf, question.requiredIf]),
    ...(definition.endings ?? []).map((ending) => ending.when),
  ];
  return conditions.reduce((sum, condition) => sum + count(condition), 0);
}

/** Adds a question behind another, or at the end. */
export function addQuestion(
  definition: Definition,
  behind: string | null,
  part: Partial<DraftQuestion> = {},
): { definition: Definition; key: string } {
  const key = freshKey();
  const question: DraftQuestion = { type: 'short-text', wording: '', ...part, key };
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

/** Moves a question to where another stands, on whatever page. */
export function moveTo(definition: Definition, key: string, over: string): Definition {
  const question = questionsOf(definition).find((one) => one.key === key);
  if (!question || key === over) return definition;
  const order = questionsOf(definition).map((one) => one.key);
  const after = order.indexOf(key) < order.indexOf(over) ? 1 : 0;
  return {
    ...definition,
    pages: definition.pages.map((page) => {
      const left = page.questions.filter((one) => one.key !== key);
      const place = left.findIndex((one) => one.key === over);
      // On the same page a question that goes down passes the one it is dropped on.
      return { ...page, questions: place < 0 ? left : left.toSpliced(place + after, 0, question) };
    }),
  };
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

/** The number that a question carries; 0 for what only tells, and for what is not there. */
export function numberOf(definition: Definition, key: string): number {
  const asking = questionsOf(definition).filter(asks);
  return asking.findIndex((question) => question.key === key) + 1;
}

/** A condition in words, with the questions by their numbers. */
export function conditionWords(condition: Condition, definition: Definition): string {
  if ('all' in condition)
    return condition.all.map((part) => conditionWords(part, definition)).join(' and ') || 'always';
  if ('any' in condition) return condition.any.map((part) => conditionWords(part, definition)).join(' or ') || 'never';
  if ('not' in condition) return `not (${conditionWords(condition.not, definition)})`;
  const number = numberOf(definition, condition.question);
  const given = condition.values ?? (condition.value === undefined ? [] : [condition.value]);
  const options = questionsOf(definition).find((question) => question.key === condition.question)?.options ?? [];
  const values = given.map((value) => options.find((option) => option.value === value)?.label ?? value);
  return `${number > 0 ? number : `“${condition.question}”`} ${operatorWords[condition.op]} ${values.join(', ')}`.trim();
}

export const operatorWords: Record<string, string> = {
  is: 'is',
  'is-one-of': 'is one of',
  contains: 'contains the letters',
  'has-word': 'contains the word',
  'has-none-of': 'contains none of',
  'is-blank': 'is blank',
  'more-than': 'is more than',
  'at-most': 'is at most',
  before: 'is before',
  after: 'is after',
  'within-days': 'is within the next days:',
  between: 'is between',
};

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
    version: 0,
    checkPage: definition.checkPage ?? false,
    copy: definition.copy ?? false,
    business: { name: '', phone: '', phoneText: '', hours: '', address: '', drawing: '' },
    pages: definition.pages.map((page) => ({
      key: page.key,
      title: page.title,
      next: page.next,
      questions: page.questions.map((question) => publicQuestion(question, asks(question) ? ++number : 0)),
    })),
  };
}

function publicQuestion(question: DraftQuestion, number: number): Schema<'Question'> {
  return {
    key: question.key,
    number,
    type: question.type,
    wording: question.wording,
    hint: question.hint ?? '',
    example: question.example ?? '',
    required: question.required ?? false,
    options: (question.options ?? []).map(({ value, label }) => ({ value, label })),
    minLength: question.minLength ?? 0,
    maxLength: question.maxLength ?? 4000,
    maxFiles: question.maxFiles ?? 8,
    maxBytes: question.maxBytes ?? 10_485_760,
    fileKinds: question.fileKinds ?? 'any',
    min: question.min ?? '',
    max: question.max ?? '',
    half: question.half ?? false,
    third: question.third ?? false,
    parameter: question.parameter ?? '',
    default: question.default ?? '',
    asList: question.asList ?? false,
    showIf: (question.showIf ?? null) as Record<string, never> | null,
    requiredIf: (question.requiredIf ?? null) as Record<string, never> | null,
    lines: (question.lines ?? []).map((column) => publicQuestion(column, number)),
    maxLines: question.maxLines ?? 10,
    picture: question.picture ?? '',
  };
}
