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
  /** Id of whom of the staff is mailed as soon as it is sent. */
  tell?: string;
  purpose?: '' | 'open' | 'add' | 'file';
  steps: { when: string; what: string }[];
  pages: DraftPage[];
  endings?: { kind: 'thanks' | 'address' | 'form' | 'booking'; text: string; when?: Condition; sendsAway?: boolean }[];
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

const PLACEHOLDERS = ['First', 'Second'];

/** Whether nobody has written this choice: it is as it began, or empty. */
export function isUnwritten(option: { label: string }): boolean {
  return option.label.trim() === '' || PLACEHOLDERS.includes(option.label);
}

/** What a question of another kind keeps, and what it begins with. */
export function ofKind(known: KnownKinds, question: DraftQuestion, type: Kind): Partial<DraftQuestion> {
  const part: Partial<DraftQuestion> = { type };
  if (!destinationsFor(known, type).includes(question.destination ?? '')) part.destination = '';
  if ((type === 'one-of' || type === 'any-of') && !question.options?.length)
    part.options = PLACEHOLDERS.map((label) => ({ value: freshValue(), label }));
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
  return {
    ...definition,
    pages: [
      ...definition.pages,
      { key: `page_${n}_${Date.now().toString(36)}`, title: `Page ${n}`, next: '', questions: [] },
    ],
  };
}

export function changePage(definition: Definition, key: string, part: Partial<DraftPage>): Definition {
  return { ...definition, pages: definition.pages.map((page) => (page.key === key ? { ...page, ...part } : page)) };
}

/** Takes an empty page out. */
export function removePage(definition: Definition, key: string): Definition {
  return { ...definition, pages: definition.pages.filter((page) => page.key !== key || page.questions.length > 0) };
}
