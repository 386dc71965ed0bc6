import type { Draft, Item, KeptList, Lists } from './queries';
import { firstName } from '../../../shared/firstName';

export const emptyDraft: Draft = { key: '', name: '', purpose: '', joinsAfter: '', items: [] };

export function draftOf(kept: KeptList): Draft {
  return {
    version: kept.version,
    key: kept.key,
    name: kept.name,
    purpose: kept.purpose,
    joinsAfter: kept.joinsAfter,
    items: kept.items,
  };
}

/** A key of its own for a new item: it stays when the name changes. */
function freeKey(taken: string[]): string {
  for (let n = taken.length + 1; ; n++) if (!taken.includes(`item-${n}`)) return `item-${n}`;
}

export function freshItem(items: Item[], after: Item | undefined): Item {
  return {
    key: freeKey(items.map((one) => one.key)),
    name: '',
    group: after?.group ?? '',
    words: '',
    doer: after?.doer ?? 'coordinator',
    among: after?.among ?? [],
    takes: 1,
    effort: 0,
    due: null,
    waitsFor: after ? [after.key] : [],
    if: null,
    doneBy: null,
    approval: '',
    shown: false,
    steps: [],
  };
}

/** An item where it stands, its own or of the list that it joins. */
export interface Row {
  number: number;
  full: string;
  item: Item;
  own: boolean;
}

/** The items of the draft among those of the base, in their places, numbered. */
export function rowsOf(draft: Draft, isBase: boolean, base: KeptList | undefined): Row[] {
  const own = draft.items.map((item) => ({ full: `${draft.key}/${item.key}`, item, own: true }));
  const of = (item: Item) => ({ full: `${base?.key}/${item.key}`, item, own: false });
  const others = isBase || !base ? [] : base.items;
  const after = draft.joinsAfter.split('/').slice(1).join('/');
  const at = others.findLastIndex((item) =>
    after.startsWith('@') ? item.group === after.slice(1) : item.key === after,
  );
  const before = at < 0 ? others : others.slice(0, at + 1);
  const rest = at < 0 ? [] : others.slice(at + 1);
  return [...before.map(of), ...own, ...rest.map(of)].map((row, i) => ({ ...row, number: i + 1 }));
}

/** Full keys that an item waits for, wherever they stand. */
export function waitsOf(row: Row, rows: Row[]): Row[] {
  const list = row.full.split('/')[0] ?? '';
  return row.item.waitsFor.flatMap(
    (written) =>
      rows.find((one) => one.full === `${list}/${written}`) ?? rows.find((one) => one.full === written) ?? [],
  );
}

/** Whether one comes, through whatever it waits for, to the other. */
export function leadsTo(from: Row, to: Row, rows: Row[], seen: Set<string> = new Set()): boolean {
  if (from.full === to.full) return true;
  if (seen.has(from.full)) return false;
  seen.add(from.full);
  return waitsOf(from, rows).some((one) => leadsTo(one, to, rows, seen));
}

export const doers: Record<Item['doer'], string> = {
  coordinator: 'the coordinator',
  lead: 'the project’s lead',
  named: 'somebody by name',
  turns: 'by turns, of',
  fewest: 'whoever has the fewest open tasks, of',
};

export function whoWords(item: Item, offers: Lists['offers']): string {
  if (item.doer === 'coordinator') return 'coordinator';
  if (item.doer === 'lead') return 'lead';
  if (item.doer === 'turns') return 'by turns';
  if (item.doer === 'fewest') return 'fewest open';
  const name = offers.staff.find((one) => one.value === item.among[0])?.label;
  return name === undefined ? 'has left' : firstName(name);
}

export const takesWords = (days: number) => (days === 0 ? 'same day' : `${days} d`);

export const doneBys: Record<NonNullable<Item['doneBy']>, string> = {
  form: 'when a form comes in',
  file: 'when a file is attached',
  message: 'when a message is sent',
  appointment: 'when the visit is held',
  quote: 'when the quote is accepted',
  agreement: 'when the agreement is signed',
};

export const anchors = {
  accepted: 'the plan is accepted',
  start: 'the project starts',
  'ready-by': 'the ready-by day',
  appointment: 'the appointment',
  item: 'this is done',
} as const;

/** Moves one of a list to another place. */
export function moved<T>(all: T[], from: number, to: number): T[] {
  if (to < 0 || to >= all.length) return all;
  const next = [...all];
  const [one] = next.splice(from, 1);
  if (one !== undefined) next.splice(to, 0, one);
  return next;
}
