import { DateTime } from 'luxon';

export type View = 'week' | 'month' | 'list';

/** The days that a view shows around a day: Monday to Saturday, or Sunday where something is on; whole weeks of a month. */
export function shownDays(view: View, day: string): { from: string; to: string } {
  const at = DateTime.fromISO(day);
  if (view === 'month') {
    const first = at.startOf('month').startOf('week');
    const last = at.endOf('month').endOf('week');
    return { from: iso(first), to: iso(last) };
  }
  if (view === 'list') return { from: day, to: iso(at.plus({ days: 27 })) };
  return { from: iso(at.startOf('week')), to: iso(at.endOf('week')) };
}

function iso(at: DateTime): string {
  return at.toISODate() ?? '';
}

export function plusDays(day: string, days: number): string {
  return iso(DateTime.fromISO(day).plus({ days }));
}

/** “23 to 28 March”. */
export function spanWords(from: string, to: string): string {
  const [a, b] = [DateTime.fromISO(from), DateTime.fromISO(to)];
  return a.hasSame(b, 'month')
    ? `${a.toFormat('d')} to ${b.toFormat('d MMMM')}`
    : `${a.toFormat('d MMM')} to ${b.toFormat('d MMM')}`;
}

/** Minutes of its local day; the server writes times with the offset of the business. */
export function minuteOf(at: string): number {
  const time = DateTime.fromISO(at, { setZone: true });
  return time.hour * 60 + time.minute;
}

export function dayOf(at: string): string {
  return at.slice(0, 10);
}

/** The moment of a minute of a local day, with the offset that the zone has then. */
export function momentOf(day: string, minute: number, zone: string): string {
  return (
    DateTime.fromISO(day, { zone })
      .startOf('day')
      .set({ hour: Math.floor(minute / 60), minute: minute % 60 })
      .toISO({ suppressMilliseconds: true }) ?? ''
  );
}

/** “3 h 20 free”. */
export function freeWords(minutes: number): string {
  if (minutes === 0) return 'full';
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return `${hours ? `${hours} h ` : ''}${rest ? `${String(rest).padStart(hours ? 2 : 1, '0')}${hours ? '' : ' min'} ` : ''}free`;
}
