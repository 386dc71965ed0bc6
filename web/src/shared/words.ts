import { DateTime } from 'luxon';

/** Times come with the business's own offset; they are shown as they stand there, wherever the reader is. */
export function moment(iso: string): DateTime {
  return DateTime.fromISO(iso, { setZone: true, locale: 'en-GB' });
}

/** “10:36” */
export function clockTime(iso: string): string {
  return moment(iso).toFormat('HH:mm');
}

/** “Thu 26 March”, with the year where it is not this one. */
export function shortDay(iso: string, today: string): string {
  const day = moment(iso);
  return day.toFormat(day.year === moment(today).year ? 'ccc d LLLL' : 'ccc d LLLL yyyy');
}

/** “Tuesday 24 March” */
export function longDay(iso: string): string {
  return moment(iso).toFormat('cccc d LLLL');
}

/** “today”, “tomorrow”, “yesterday”, “in 41 days”, “3 days ago”. */
export function distance(iso: string, today: string): string {
  const days = Math.round(moment(iso).startOf('day').diff(moment(today).startOf('day'), 'days').days);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days < 0 ? `${-days} days ago` : `in ${days} days`;
}

/** “10:36” today, “Mon 23 March, 10:36” on other days. */
export function when(iso: string, today: string): string {
  return moment(iso).toISODate() === moment(today).toISODate()
    ? clockTime(iso)
    : `${shortDay(iso, today)}, ${clockTime(iso)}`;
}
