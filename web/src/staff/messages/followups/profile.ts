import { moment } from '../../../shared/words';
import type { Step } from './queries';

/** The scale of an answer profile: so many pixels a day to the joint, far fewer beyond it. */
const LEFT = 30;
const DAY = 96;
const JOINT = 7;
const GAP = 16;
const FAR_DAY = 9.15;
/** Posts nearer than this share a label. */
const NEAR = 22;
/** Days at the most: a series that leads back to itself has no last step. */
const FARTHEST = 730;

/** Where a moment stands, in pixels from the left. */
export const xOf = (days: number): number =>
  days <= JOINT ? LEFT + DAY * Math.max(0, days) : LEFT + DAY * JOINT + GAP + FAR_DAY * (days - JOINT);

/** Whether the scale has its joint: only where something lies beyond the first week. */
export const hasJoint = (end: number): boolean => end > JOINT;

/** Where the joint stands, in pixels. */
export const jointX = xOf(JOINT) + GAP - 3;

/** Days since the beginning. */
export const daysSince = (start: string, at: string): number => moment(at).diff(moment(start), 'days').days;

/** The days that have a number: each of the first week, then each week, and the last. */
export function ticks(end: number): number[] {
  const last = Math.floor(end);
  const first = Array.from({ length: Math.min(JOINT, last) + 1 }, (_, day) => day);
  const weeks: number[] = [];
  const apart = last > 120 ? 28 : 7;
  for (let day = JOINT + apart; day <= last; day += apart) weeks.push(day);
  return [...first, ...weeks];
}

export interface Post {
  x: number;
  days: number;
  /** Steps that stand there, in order. */
  keys: string[];
  /** Room for the label until the next post. */
  room: number;
}

interface Act {
  at: string;
  key: string;
  course: string;
}

/** The posts of the main course: what is done while nothing comes, and when. */
export function posts(acts: Act[], start: string, width: number): Post[] {
  const found: Post[] = [];
  for (const act of acts) {
    const days = daysSince(start, act.at);
    // Where it leads back to a step, that stands where it is done first.
    if (act.key === '' || act.course !== 'main' || days > FARTHEST) continue;
    if (found.some((post) => post.keys.includes(act.key))) continue;
    const x = xOf(days);
    const last = found.at(-1);
    if (last && x - last.x < NEAR) last.keys.push(act.key);
    else found.push({ x, days, keys: [act.key], room: 0 });
  }
  return found.map((post, i) => ({ ...post, room: (found[i + 1]?.x ?? width) - post.x - 8 }));
}

/** People who stand so close that one could not be pressed without the other: a finger's breadth (WCAG 2.2, 2.5.8). */
const FINGER = 24;

export interface Pins<T> {
  /** Where the first and the last of them stand. */
  from: number;
  to: number;
  people: T[];
}

/** Whoever is inside, by where they stand; those who stand close together as one. */
export function pins<T>(standing: { days: number; one: T }[], end: number): Pins<T>[] {
  const found: Pins<T>[] = [];
  for (const { days, one } of [...standing].sort((a, b) => a.days - b.days)) {
    if (days > end) continue;
    const x = xOf(days);
    const last = found.at(-1);
    if (last && x - last.to < FINGER) {
      last.people.push(one);
      last.to = x;
    } else found.push({ from: x, to: x, people: [one] });
  }
  return found;
}

/** How far the scale goes: past the last step by a day, or by a week where a week is a finger's breadth. */
export function endOf(acts: Act[], start: string): number {
  const last = Math.min(
    FARTHEST,
    Math.max(0, ...acts.filter((act) => act.course === 'main').map((act) => daysSince(start, act.at))),
  );
  return last > JOINT - 1 ? Math.max(JOINT + 7, last + 7) : last + 1;
}

export interface Curve {
  cases: number;
  points: { days: number; left: number }[];
}

/** The stepped line of who has not answered yet, as an SVG path: y from 0 (nobody has) to height (all have). */
export function line(curve: Curve, end: number, height: number): string {
  const y = (left: number) => (height * (1 - left)).toFixed(1);
  const falls = curve.points
    .filter((point) => point.days <= end)
    .map((point) => `H${xOf(point.days).toFixed(1)}V${y(point.left)}`);
  return `M${LEFT} ${y(1)}${falls.join('')}H${xOf(end).toFixed(1)}`;
}

/** The share that has not answered so many days after the beginning, 0 to 1. */
export const leftAt = (curve: Curve, days: number): number =>
  curve.points.findLast((point) => point.days <= days)?.left ?? 1;

/** About how many days a wait takes; five of seven days are worked (common practice). */
export function daysOf(amount: number, unit: NonNullable<Step['unit']>): number {
  return unit === 'hours' ? amount / 24 : unit === 'working-days' ? (amount * 7) / 5 : amount;
}

/** Of those who came to a step: how many would still get what is sent so many days later, and how many had answered. */
export function lookBack(curve: Curve, days: number): { gets: number; answered: number } {
  const gets = Math.round(curve.cases * leftAt(curve, days));
  return { gets, answered: curve.cases - gets };
}

/** The waits between the posts of the main course: from where to where, and which step. */
export function waits(steps: Step[], standing: Post[]): { step: Step; from: number; to: number }[] {
  const placed = new Map(standing.flatMap((post) => post.keys.map((key) => [key, post.x] as const)));
  const found: { step: Step; from: number; to: number }[] = [];
  let from = xOf(0);
  let waiting: Step[] = [];
  for (const step of steps) {
    if (step.kind === 'wait') {
      waiting.push(step);
      continue;
    }
    const to = placed.get(step.key);
    if (to === undefined) continue;
    // Two waits in a row stand as one: where the first ends is on no post.
    if (waiting[0] && to > from) found.push({ step: waiting[0], from, to });
    from = to;
    waiting = [];
  }
  return found;
}

/** The first step that stands at a post. */
export const stepOf = (steps: Step[], post: Post): Step | undefined => steps.find((step) => step.key === post.keys[0]);

/** “25 %” */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
