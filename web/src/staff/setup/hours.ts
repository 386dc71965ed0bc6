import type { Setup } from './queries';

export type Day = Setup['hours'][number];
type Span = Day['spans'][number];

/** By ISO 8601 number. */
export const weekdays = ['', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const told = (spans: Span[]) => spans.map((span) => `${span.from}-${span.to}`).join(' ');

/** Days that follow one another and are open alike, as one. */
export function alike(hours: Day[]): { first: number; last: number; spans: Span[] }[] {
  const rows: { first: number; last: number; spans: Span[] }[] = [];
  for (const { day, spans } of hours) {
    const before = rows.at(-1);
    if (before && told(before.spans) === told(spans)) before.last = day;
    else rows.push({ first: day, last: day, spans });
  }
  return rows;
}

/** “09:00 to 12:00, 13:00 to 17:30”, or nothing for closed; null where it cannot be read. */
export function readSpans(text: string): Span[] | null {
  const trimmed = text.trim();
  if (trimmed === '' || /^closed$/i.test(trimmed)) return [];
  const spans = trimmed.split(/[,;]|\band\b/).map((part) => {
    const found = /^\s*(\d{1,2})(?:[:.](\d{2}))?\s*(?:to|-|–|until)\s*(\d{1,2})(?:[:.](\d{2}))?\s*$/.exec(part);
    if (!found) return null;
    const [, fromHour = '', fromMinute = '00', toHour = '', toMinute = '00'] = found;
    return { from: `${fromHour.padStart(2, '0')}:${fromMinute}`, to: `${toHour.padStart(2, '0')}:${toMinute}` };
  });
  return spans.every((span) => span !== null) ? spans : null;
}

export function tellSpans(spans: Span[]): string {
  return spans.map((span) => `${span.from} to ${span.to}`).join(', ');
}
