import { readDays, type DayOrder } from './days';

/** A condition as it is stored; the server reads the same in Telamon\Core\Condition. */
export type Condition =
  | { all: Condition[] }
  | { any: Condition[] }
  | { not: Condition }
  | { question: string; op: Operator; value?: string; values?: string[] };

type Operator =
  | 'is'
  | 'is-one-of'
  | 'contains'
  | 'has-word'
  | 'has-none-of'
  | 'is-blank'
  | 'more-than'
  | 'at-most'
  | 'before'
  | 'after'
  | 'within-days'
  | 'between';

/** A text, choices, texts by part, or the lines of a table. */
export type Answer = string | string[] | Record<string, string> | Record<string, string>[];

export interface Facts {
  answers: Record<string, Answer | undefined>;
  /** ISO 8601 day at the business */
  today: string;
  order: DayOrder;
}

/** Whether a condition holds. For response only: the server evaluates again, and both are held to one file of cases. */
export function holds(condition: Condition, facts: Facts): boolean {
  if ('all' in condition) return condition.all.every((part) => holds(part, facts));
  if ('any' in condition) return condition.any.some((part) => holds(part, facts));
  if ('not' in condition) return !holds(condition.not, facts);
  const texts = answered(facts, condition.question);
  if (condition.op === 'is-blank') return texts.length === 0;
  const first = texts[0];
  if (first === undefined) return false;
  const values = condition.values ?? (condition.value === undefined ? [] : [condition.value]);
  const [low = '', high = ''] = values;
  const day = dayText(facts, condition.question);
  switch (condition.op) {
    case 'is':
    case 'is-one-of':
      return texts.some((text) => values.some((value) => plain(value) === plain(text)));
    case 'contains':
      return texts.some((text) => plain(text).includes(plain(low)));
    case 'has-word':
      return texts.some((text) => hasWords(text, low));
    case 'has-none-of':
      return !values.some((value) => texts.some((text) => hasWords(text, value)));
    case 'more-than':
      return compare(first, low, (order) => order > 0);
    case 'at-most':
      return compare(first, low, (order) => order <= 0);
    case 'before':
      return compareDays(day, bound(low, facts), facts, (a, b) => a < b);
    case 'after':
      return compareDays(day, bound(low, facts), facts, (a, b) => a > b);
    case 'within-days':
      return (
        /^\d{1,4}$/.test(low) &&
        compareDays(day, addDays(facts.today, Number(low)), facts, (a, b) => a >= facts.today && a <= b)
      );
    case 'between':
      if (isNumber(first) && isNumber(low) && isNumber(high))
        return compareNumbers(first, low) >= 0 && compareNumbers(first, high) <= 0;
      return (
        compareDays(day, bound(low, facts), facts, (a, b) => a >= b) &&
        compareDays(day, bound(high, facts), facts, (a, b) => a <= b)
      );
  }
}

function answered(facts: Facts, question: string): string[] {
  const answer = facts.answers[question];
  const texts =
    typeof answer === 'object' && !Array.isArray(answer)
      ? [joined(answer)]
      : Array.isArray(answer) && answer.some((one) => typeof one !== 'string')
        ? [String(answer.length)]
        : [answer ?? ''].flat();
  return texts.flatMap((text) => (typeof text === 'string' && text.trim() !== '' ? [text.trim()] : []));
}

/** The parts of an answer as one text; how a signature was given is none of its words. */
function joined(parts: Record<string, string>): string {
  return Object.entries(parts)
    .flatMap(([name, text]) => (name === 'how' || name === 'image' ? [] : [text.trim()]))
    .join(' ')
    .replace(/\s+/g, ' ');
}

/** The text of an answer that may name a day; the first of a span. */
function dayText(facts: Facts, question: string): string {
  const answer = facts.answers[question];
  if (typeof answer === 'object' && !Array.isArray(answer)) return answer.day ?? answer.from ?? '';
  return answered(facts, question)[0] ?? '';
}

function plain(text: string): string {
  return text.trim().toLowerCase();
}

/** Whether these words stand in a text, whole and next to each other; case aside. */
function hasWords(text: string, wanted: string): boolean {
  const words = (of: string) =>
    ` ${plain(of)
      .replace(/[^\p{L}\p{N}]+/gu, ' ')
      .trim()} `;
  return words(wanted).trim() !== '' && words(text).includes(words(wanted));
}

function isNumber(text: string): boolean {
  return /^[+-]?\d{1,30}(\.\d{1,30})?$/.test(text);
}

function compare(text: string, bound: string, fits: (order: number) => boolean): boolean {
  return isNumber(text) && isNumber(bound) && fits(compareNumbers(text, bound));
}

/** Exact, whatever the length: scaled to whole numbers. */
function compareNumbers(a: string, b: string): number {
  const places = Math.max(fraction(a).length, fraction(b).length);
  const difference = scaled(a, places) - scaled(b, places);
  return difference > 0n ? 1 : difference < 0n ? -1 : 0;
}

function fraction(text: string): string {
  return text.split('.')[1] ?? '';
}

function scaled(text: string, places: number): bigint {
  const sign = text.startsWith('-') ? -1n : 1n;
  const [whole = '0'] = text.replace(/^[+-]/, '').split('.');
  return sign * BigInt(whole + fraction(text).padEnd(places, '0'));
}

function bound(text: string, facts: Facts): string | null {
  if (text === 'today') return facts.today;
  return /^\d{4}-\d{2}-\d{2}$/.test(text) ? text : null;
}

function compareDays(
  text: string,
  other: string | null,
  facts: Facts,
  fits: (day: string, other: string) => boolean,
): boolean {
  const days = readDays(text, facts.order);
  return days.length === 1 && other !== null && fits(days[0] ?? '', other);
}

function addDays(day: string, days: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}
