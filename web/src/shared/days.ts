export type DayOrder = 'day-first' | 'month-first' | 'unstated';

const months = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
];

/** The days that a text may mean, ISO 8601, the earlier first: none, one, or two where the order is not known. */
export function readDays(text: string, order: DayOrder): string[] {
  const trimmed = text.trim();
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(trimmed);
  if (iso) return real([[Number(iso[1]), Number(iso[2]), Number(iso[3])]]);
  const dayFirst = /^(\d{1,2})(?:st|nd|rd|th)?\.?\s+([A-Za-z]{3,9})\.?,?\s+(\d{4})$/.exec(trimmed);
  if (dayFirst) return real([[Number(dayFirst[3]), month(dayFirst[2] ?? ''), Number(dayFirst[1])]]);
  const monthFirst = /^([A-Za-z]{3,9})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})$/.exec(trimmed);
  if (monthFirst) return real([[Number(monthFirst[3]), month(monthFirst[1] ?? ''), Number(monthFirst[2])]]);
  const figures = /^(\d{1,2})([/.-])(\d{1,2})\2(\d{4})$/.exec(trimmed);
  if (!figures) return [];
  const [first, second, year] = [Number(figures[1]), Number(figures[3]), Number(figures[4])];
  const asDayFirst: [number, number, number] = [year, second, first];
  const asMonthFirst: [number, number, number] = [year, first, second];
  return real(
    order === 'day-first' ? [asDayFirst] : order === 'month-first' ? [asMonthFirst] : [asDayFirst, asMonthFirst],
  );
}

function month(word: string): number {
  const small = word.toLowerCase();
  return (
    months.findIndex(
      (name) => small === name || small === name.slice(0, 3) || (small === 'sept' && name === 'september'),
    ) + 1
  );
}

function real(candidates: [number, number, number][]): string[] {
  const days = new Set<string>();
  for (const [year, monthNumber, day] of candidates) {
    const date = new Date(0);
    date.setUTCFullYear(year, monthNumber - 1, day);
    if (year > 0 && monthNumber >= 1 && date.getUTCMonth() === monthNumber - 1 && date.getUTCDate() === day) {
      days.add(
        `${String(year).padStart(4, '0')}-${String(monthNumber).padStart(2, '0')}-${String(day).padStart(2, '0')}`,
      );
    }
  }
  return [...days].sort();
}
