import type { Schema } from '../../shared/api';

export type Wall = Schema<'Wall'>;
export type Stone = Wall['projects'][number];

export interface Only {
  lead: string;
  service: string;
  tag: string;
  source: string;
  late: boolean;
  waiting: boolean;
  mine: boolean;
}

/** What the address says of the wall. */
export function onlyOf(search: URLSearchParams): Only {
  const text = (key: string) => search.get(key) ?? '';
  return {
    lead: text('lead'),
    service: text('service'),
    tag: text('tag'),
    source: text('source'),
    late: search.has('late'),
    waiting: search.has('waiting'),
    mine: search.has('mine'),
  };
}

export function isOver(stone: Stone, days: number | null): boolean {
  return days !== null && stone.days > days;
}

export function shows(stone: Stone, only: Only, me: string, days: number | null): boolean {
  return (
    (only.lead === '' || stone.leadId === only.lead) &&
    (only.service === '' || stone.service === only.service) &&
    (only.tag === '' || stone.tags.includes(only.tag)) &&
    (only.source === '' || stone.source === only.source) &&
    (!only.late || stone.late || isOver(stone, days)) &&
    (!only.waiting || stone.waiting) &&
    (!only.mine || stone.leadId === me)
  );
}

export interface CourseOfStones {
  name: string;
  days: number | null;
  all: number;
  stones: Stone[];
  over: number;
  sum: number;
}

/** The stones of every stage, those over their time first, then those that stand there longest. */
export function coursesOf(wall: Wall, only: Only, me: string): CourseOfStones[] {
  const names = new Set(wall.stages.map((stage) => stage.name));
  const stages = [
    ...wall.stages.filter(
      (stage) => stage.ends === 'open' || wall.projects.some((project) => project.stage === stage.name),
    ),
    // One that was removed by somebody else meanwhile: its projects are not lost from sight.
    ...[...new Set(wall.projects.map((project) => project.stage))]
      .filter((name) => !names.has(name))
      .map((name) => ({ name, days: null, ends: 'open' as const })),
  ];
  return stages.map(({ name, days }) => {
    const all = wall.projects.filter((project) => project.stage === name);
    const stones = all
      .filter((stone) => shows(stone, only, me, days))
      .sort((a, b) => Number(isOver(b, days)) - Number(isOver(a, days)) || b.days - a.days);
    return {
      name,
      days,
      all: all.length,
      stones,
      over: stones.filter((stone) => isOver(stone, days)).length,
      sum: stones.reduce((sum, stone) => sum + Number(stone.worth ?? 0), 0),
    };
  });
}
