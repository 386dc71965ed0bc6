export interface Thread {
  /** Index of the task that comes first, and of the one that waits for it. */
  from: number;
  to: number;
  /** Which of the upright tracks it runs in, 0 at the far left. */
  track: number;
  chosen: boolean;
}

const tracks = 4;

/**
 * Lays a thread from every task to each that waits for it, into tracks where no two overlap. Up to twelve
 * tasks show all; beyond that only the chosen task's, at most three: the rest is in its words.
 */
export function threads(tasks: { number: number; after: number[] }[], chosen: number): Thread[] {
  const index = new Map(tasks.map((task, i) => [task.number, i]));
  const all = tasks
    .flatMap((task, to) =>
      task.after.map((number) => ({
        from: index.get(number) ?? -1,
        to,
        chosen: number === chosen || task.number === chosen,
      })),
    )
    .filter((thread) => thread.from >= 0);
  const shown = tasks.length <= 12 ? all : all.filter((thread) => thread.chosen).slice(0, 3);
  const ends: number[] = Array.from({ length: tracks }, () => -1);
  return [...shown]
    .sort((a, b) => a.from - b.from || a.to - b.to)
    .map((thread) => {
      // The track nearest to the numbers that is free; the outermost where none is.
      let track = tracks - 1;
      while (track > 0 && (ends[track] ?? -1) > thread.from) track--;
      ends[track] = Math.max(ends[track] ?? -1, thread.to);
      return { ...thread, track };
    });
}
