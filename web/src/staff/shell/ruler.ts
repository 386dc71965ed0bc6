const first = 7 * 60;
const span = 12 * 60;

/** Where a minute of the day stands on the ruler, 07:00 at 0 and 19:00 at 100. */
export function percent(minute: number): number {
  return ((minute - first) / span) * 100;
}

/** The least share of a block that can still be seen and pressed. */
const least = 1.5;

/** Where a stretch of the day stands: what lies before or after the ruler’s hours stands at its end, and is not lost. */
export function stretch(from: number, to: number): { left: string; width: string } {
  const [begin, end] = [percent(from), percent(to)].map((at) => Math.min(100, Math.max(0, at))) as [number, number];
  const left = Math.min(begin, 100 - least);
  return { left: `${left}%`, width: `${Math.max(end - left, least)}%` };
}

/** The same for what only lies beside something: outside the ruler’s hours nothing of it is drawn. */
export function beside(from: number, to: number): { left: string; width: string } {
  const [begin, end] = [percent(from), percent(to)].map((at) => Math.min(100, Math.max(0, at))) as [number, number];
  return { left: `${begin}%`, width: `${end - begin}%` };
}

/** Keeps what came before or after the ruler's hours at its ends. */
export function shares(at: number): number {
  return Math.min(99.6, Math.max(0.4, at));
}

interface Span {
  from: number;
  to: number;
}

/** Puts spans into two lanes, in time order. What fits into neither is counted on the block that it lies under. */
export function lanes<T extends Span>(spans: T[]): (T & { lane: 0 | 1; more: number })[] {
  const placed: (T & { lane: 0 | 1; more: number })[] = [];
  const last: [(typeof placed)[number] | undefined, (typeof placed)[number] | undefined] = [undefined, undefined];
  for (const one of [...spans].sort((a, b) => a.from - b.from || a.to - b.to)) {
    const lane = (last[0]?.to ?? 0) <= one.from ? 0 : (last[1]?.to ?? 0) <= one.from ? 1 : null;
    if (lane === null) {
      if (last[1]) last[1].more += 1;
      continue;
    }
    const block: (typeof placed)[number] = { ...one, lane, more: 0 };
    last[lane] = block;
    placed.push(block);
  }
  return placed;
}
