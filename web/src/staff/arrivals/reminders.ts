import { DateTime } from 'luxon';
import { moment } from '../../shared/words';

export interface Reminder {
  value: string;
  hotkey: string;
  label: string;
}

/** When an arrival may come back, in the business's own time: later today, tomorrow, on Monday, in a week. */
export function reminders(now: string): Reminder[] {
  const at = moment(now);
  const nine = (days: number) => at.plus({ days }).set({ hour: 9, minute: 0, second: 0, millisecond: 0 });
  const times: [string, DateTime][] = [
    ['In an hour', at.plus({ hours: 1 }).startOf('minute')],
    ['Tomorrow at nine', nine(1)],
    ['Monday at nine', nine(8 - at.weekday)],
    ['In a week', nine(7)],
  ];
  return times.map(([label, time], i) => ({
    value: time.toISO({ suppressMilliseconds: true }) ?? '',
    hotkey: String(i + 1),
    label,
  }));
}

/** A time as a field for it gives it, at the business. */
export function atBusiness(local: string, now: string): string {
  const time = DateTime.fromISO(local, { zone: moment(now).zone });
  return time.isValid ? time.toISO({ suppressMilliseconds: true }) : '';
}
