import { readDays } from '../shared/days';
import type { PublicForm, Question } from './types';

/** What the bounds of an answer are held to: the day at the business, and the order in which it writes days. */
export type At = Pick<PublicForm, 'today' | 'dayOrder'>;

function plusDays(day: string, days: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return date.toISOString().slice(0, 10);
}

/** A bound as it is set: a day, or so many days from today. */
function bound(text: string, today: string): string | null {
  const relative = /^today(?:([+-]\d+))?$/.exec(text.replace(/\s/g, ''));
  if (relative) return plusDays(today, Number(relative[1] ?? 0));
  return /^\d{4}-\d{2}-\d{2}$/.test(text) ? text : null;
}

/** The 12th of June as it may be written; in figures only where they can mean one day. */
const example: Record<At['dayOrder'], string> = {
  'day-first': '12 June 2027 or 12/06/2027',
  'month-first': '12 June 2027 or 06/12/2027',
  unstated: '12 June 2027',
};

export function inWords(day: string): string {
  return new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
}

/** What the bounds say of a day; the server says the same again. */
export function dayFault(question: Question, text: string, at: At): string | null {
  const days = readDays(text, at.dayOrder);
  const [first] = days;
  const last = days.at(-1);
  if (first === undefined || last === undefined) {
    // In words, the server reads it: it has the one reader of days.
    const words = /\p{L}/u.test(text) || /^\d{1,2}[/.-]\d{1,2}([/.-]\d{2})?$/.test(text.trim());
    return words ? null : `There is no such day. Write it like ${example[at.dayOrder]}.`;
  }
  const earliest = bound(question.min, at.today) ?? at.today;
  if (last < earliest)
    return earliest === at.today
      ? 'That day has passed. Choose today or later.'
      : `That is too early. Choose ${inWords(earliest)} or later.`;
  const latest = bound(question.max, at.today);
  if (latest !== null && first > latest) return `That is too late. Choose ${inWords(latest)} or earlier.`;
  return Number(last.slice(0, 4)) > Number(at.today.slice(0, 4)) + 10
    ? 'That is more than ten years away. Check the year.'
    : null;
}

/** What the bounds say of a plain figure; one in words is for the server. */
export function numberFault(question: Question, text: string): string | null {
  const plain = /^[+-]?\d+(\.\d+)?$/.test(text) ? Number(text) : null;
  if (plain === null) return null;
  if (question.min !== '' && plain < Number(question.min)) return `Write ${question.min} or more.`;
  return question.max !== '' && plain > Number(question.max) ? `Write ${question.max} or less.` : null;
}

/** A day without a year is the next one there is, in the order in which the business writes days: “12/6”, “12 June”. */
export function withYear(text: string, at: At): string {
  const trimmed = text.trim();
  const isFigures = /^\d{1,2}[/.-]\d{1,2}$/.test(trimmed);
  if (isFigures && at.dayOrder === 'unstated') return text;
  const isWords = /^(\d{1,2}(st|nd|rd|th)?\s+[A-Za-z]{3,9}|[A-Za-z]{3,9}\s+\d{1,2}(st|nd|rd|th)?)$/.test(trimmed);
  if (!isFigures && !isWords) return text;
  const year = Number(at.today.slice(0, 4));
  const separator = isFigures ? (/[/.-]/.exec(trimmed)?.[0] ?? '/') : ' ';
  for (const one of [year, year + 1]) {
    const [day] = readDays(`${trimmed}${separator}${one}`, at.dayOrder);
    if (day !== undefined && day >= at.today) return inWords(day);
  }
  return text;
}

/** “2pm”, “2.30 pm”, “14h” as 14:30 is written; anything else stays. */
export function asTime(text: string): string {
  const read = /^(\d{1,2})(?:[:.h ]?(\d{2}))?\s*([ap])?\.?m?\.?\s*h?$/i.exec(text.trim());
  if (!read || (!read[3] && !read[2] && !/h$/i.test(text.trim()))) return text;
  const hour = Number(read[1]);
  const half = read[3]?.toLowerCase();
  if (half && (hour < 1 || hour > 12)) return text;
  const real = half === 'p' ? (hour % 12) + 12 : half === 'a' ? hour % 12 : hour;
  const minutes = read[2] ?? '00';
  return real > 23 || Number(minutes) > 59 ? text : `${String(real).padStart(2, '0')}:${minutes}`;
}

/** What is wrong with a time of day. */
export function timeFault(text: string): string | null {
  return /^([01]\d|2[0-3]):[0-5]\d$/.test(text) ? null : 'Write the time like 14:30.';
}
