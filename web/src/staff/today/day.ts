import { DateTime } from 'luxon';
import type { Today } from './queries';

export function minuteOf(at: string): number {
  const time = DateTime.fromISO(at, { setZone: true });
  return time.hour * 60 + time.minute;
}

/** “42 min”, “1 h 10”, “2 days”; a working day counts eight hours or so, said as hours. */
export function minutesWords(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return rest ? `${hours} h ${String(rest).padStart(2, '0')}` : `${hours} h`;
}

/** Where somebody who waits is answered: what a rule accepted stands under Owed. */
export function arrivalPath(one: Pick<Today['waiting'][number], 'id' | 'mark'>): string {
  return `/arrivals/${one.id}${one.mark === 'owed' ? '?state=owed' : ''}`;
}
