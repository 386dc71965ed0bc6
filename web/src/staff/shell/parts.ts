type Plain = Record<string, unknown>;

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/** The names of the items of a list, where each has one: lists of the same items are told item by item. */
function keysOf(list: unknown[]): string {
  const keys = list.map((one) => (isPlain(one) ? (one.key ?? one.id) : undefined));
  return keys.every((key) => typeof key === 'string') ? keys.join(' ') : '';
}

/** A part of a record that somebody else has saved otherwise than it is written here. */
export interface Part {
  /** Where it is found, keys joined by dots; empty for a record that is one value. */
  path: string;
  /** Whether it was written here as well, so that only one of the two can be kept. */
  both: boolean;
  mine: unknown;
  theirs: unknown;
}

/**
 * What somebody else has changed since the writing began, part by part: what differs between what was on file then and
 * what is on file now. What was written to the same words is nobody's question.
 *
 * @param base as it was on file when the writing began; without it everything that differs counts as written here too
 */
export function partsOf(base: unknown, mine: unknown, theirs: unknown, path = ''): Part[] {
  if (isPlain(mine) && isPlain(theirs)) {
    const from = isPlain(base) ? base : undefined;
    return [...new Set([...Object.keys(theirs), ...Object.keys(mine)])].flatMap((key) =>
      partsOf(from ? from[key] : undefined, mine[key], theirs[key], path === '' ? key : `${path}.${key}`),
    );
  }
  if (Array.isArray(mine) && Array.isArray(theirs) && keysOf(mine) !== '' && keysOf(mine) === keysOf(theirs)) {
    const from: unknown[] = Array.isArray(base) && keysOf(base) === keysOf(theirs) ? base : [];
    return theirs.flatMap((one, i) => partsOf(from[i], mine[i], one, `${path}.${i}`));
  }
  if (same(mine, theirs) || (base !== undefined && same(base, theirs))) return [];
  return [{ path, both: base === undefined || !same(mine, base), mine, theirs }];
}

/** What is written here, with theirs in the place of these parts. */
export function taking<T>(mine: T, parts: Part[]): T {
  return parts.reduce<unknown>((value, part) => put(value, part.path.split('.'), part.theirs), mine) as T;
}

function put(value: unknown, [key = '', ...rest]: string[], theirs: unknown): unknown {
  if (key === '') return theirs;
  if (Array.isArray(value))
    return value.map((one: unknown, i) =>
      String(i) !== key ? one : rest.length === 0 ? theirs : put(one, rest, theirs),
    );
  const now = isPlain(value) ? value : {};
  return { ...now, [key]: rest.length === 0 ? theirs : put(now[key], rest, theirs) };
}

/** The name of a part as a person reads it: the last key, in words, and which item of a list it is of. */
export function partWords(path: string): string {
  const keys = path.split('.');
  const item = keys.findLastIndex((key) => /^\d+$/.test(key));
  const words = [
    item > 0 ? `${readable(keys[item - 1] ?? '')} ${Number(keys[item]) + 1}` : '',
    item < keys.length - 1 ? readable(keys.at(-1) ?? '') : '',
  ]
    .filter(Boolean)
    .join(', ');
  return words === '' ? 'All of it' : words.charAt(0).toUpperCase() + words.slice(1);
}

function readable(key: string): string {
  return key.replace(/([A-Z])/g, ' $1').toLowerCase();
}

/** A value in a few words, for choosing between two. */
export function partText(value: unknown): string {
  if (value === '' || value === null || value === undefined) return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'string' || typeof value === 'number') return String(value);
  if (Array.isArray(value)) return value.length === 1 ? 'one of them' : `${value.length} of them`;
  return 'something else';
}
