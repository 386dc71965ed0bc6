import { DateTime } from 'luxon';
import type { Times } from './queries';

/** A time that may be chosen, by the clock that is shown. */
export interface Start {
  at: string;
  /** Minutes of its local day. */
  minute: number;
  /** “9:30”. */
  label: string;
  /** “9:30 in the morning”. */
  words: string;
}

/** One day as it is shown: its starts, and why nothing is done on it. */
export interface Day {
  day: string;
  weekday: string;
  date: string;
  starts: Start[];
  /** Groups without a place that begin on it. */
  full: Start[];
  closed: string;
  clocks: number;
}

function partOfDay(hour: number): string {
  return hour < 12 ? 'in the morning' : hour < 18 ? 'in the afternoon' : 'in the evening';
}

function timeLabel(at: DateTime): string {
  return at.toFormat('h:mm');
}

/** “Monday 30 March, 9:30 to 10:30 in the morning”. */
export function whenWords(at: string, length: number, zone: string): string {
  const start = DateTime.fromISO(at).setZone(zone).setLocale('en-IE');
  const end = start.plus({ minutes: length });
  return `${start.toFormat('cccc d MMMM')}, ${timeLabel(start)} to ${timeLabel(end)} ${partOfDay(start.hour)}`;
}

/** When a visit is, by the clock that is shown. */
export function visitWords(visit: { startsAt: string; endsAt: string }, zone: string): string {
  return whenWords(visit.startsAt, (Date.parse(visit.endsAt) - Date.parse(visit.startsAt)) / 60_000, zone);
}

function startAt(at: string, zone: string): { day: string; start: Start } {
  const local = DateTime.fromISO(at).setZone(zone);
  return {
    day: local.toISODate() ?? at.slice(0, 10),
    start: {
      at,
      minute: local.hour * 60 + local.minute,
      label: timeLabel(local),
      words: `${timeLabel(local)} ${partOfDay(local.hour)}`,
    },
  };
}

/** The days of an answer by the clock of whoever looks: a time may lie on another day than at the business. */
export function daysOf(times: Times, zone: string): Day[] {
  const byDay = new Map<string, { starts: Start[]; full: Start[] }>();
  const of = (day: string) => byDay.get(day) ?? { starts: [], full: [] };
  for (const one of times.days) {
    if (zone === times.zone) byDay.set(one.day, of(one.day));
    for (const kind of ['starts', 'full'] as const) {
      for (const at of one[kind]) {
        const { day, start } = startAt(at, zone);
        const there = of(day);
        byDay.set(day, { ...there, [kind]: [...there[kind], start] });
      }
    }
  }
  return [...byDay.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, { starts, full }]) => {
      const told = times.days.find((one) => one.day === day);
      const date = DateTime.fromISO(day).setLocale('en-IE');
      return {
        day,
        weekday: date.toFormat('cccc'),
        date: date.toFormat('d MMMM'),
        starts,
        full,
        closed: told?.closed ?? '',
        clocks: zone === times.zone ? (told?.clocks ?? 0) : 0,
      };
    });
}

/** Openings: the union of every start and the length of what is held, in minutes of the day. */
export function openingsOf(starts: Start[], length: number): { from: number; to: number }[] {
  const spans: { from: number; to: number }[] = [];
  for (const start of [...starts].sort((a, b) => a.minute - b.minute)) {
    const last = spans.at(-1);
    if (last && start.minute <= last.to) last.to = Math.max(last.to, start.minute + length);
    else spans.push({ from: start.minute, to: start.minute + length });
  }
  return spans;
}

/** The hours that hold all of it, whole ones. */
export function hoursOf(times: Times, days: Day[], zone: string): { from: number; to: number } {
  const starts = days.flatMap((day) => day.starts.map((start) => start.minute));
  const own =
    zone === times.zone
      ? { from: Number(times.opens.slice(0, 2)), to: Math.ceil(minutesOf(times.closes) / 60) }
      : { from: 24, to: 0 };
  const first = Math.min(own.from, ...starts.map((minute) => Math.floor(minute / 60)));
  const last = Math.max(own.to, ...starts.map((minute) => Math.ceil((minute + times.length) / 60)));
  return first < last ? { from: first, to: last } : { from: 8, to: 18 };
}

function minutesOf(time: string): number {
  return Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5));
}

/** Hours by which one zone is ahead of another at a moment, in words; empty where they agree. */
export function aheadWords(zone: string, of: string, at: string): string {
  const moment = DateTime.fromISO(at);
  const minutes = moment.setZone(zone).offset - moment.setZone(of).offset;
  if (minutes === 0) return '';
  const hours = Math.abs(minutes) / 60;
  return `${Number.isInteger(hours) ? hours : hours.toFixed(1)} h ${minutes > 0 ? 'ahead' : 'behind'}`;
}

/** The nearest times to one that has gone, two at most. */
export function nearestTo(at: string, times: Times): string[] {
  const gone = Date.parse(at);
  return times.days
    .flatMap((day) => day.starts)
    .filter((start) => start !== at)
    .sort((a, b) => Math.abs(Date.parse(a) - gone) - Math.abs(Date.parse(b) - gone))
    .slice(0, 2)
    .sort();
}

/** “1 hour”, “1½ hours”, “20 min”. */
export function lengthWords(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  const hours = minutes / 60;
  const half = minutes % 60 === 30 ? '½' : '';
  if (Number.isInteger(hours) || half) return `${Math.floor(hours)}${half} ${minutes === 60 ? 'hour' : 'hours'}`;
  return `${Math.floor(hours)} h ${minutes % 60}`;
}
