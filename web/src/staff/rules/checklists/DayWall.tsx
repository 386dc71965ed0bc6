import { moment } from '../../../shared/words';
import type { Tried } from './queries';

const height = 22;

/** The tasks as stones on a wall of working days: the longest chain lowest, beside it what runs at the same time. */
export function DayWall({ tried, width = 436 }: { tried: Tried; width?: number }) {
  const last = Math.max(1, tried.length, tried.room ?? 0);
  // Beyond eighteen days a week is the unit: ticks at Mondays, stones as wide as they are long.
  const day = width / (last + 0.5);
  const chain = tried.tasks.filter((task) => task.onChain && task.takes > 0);
  const courses: Tried['tasks'][] = [];
  for (const task of tried.tasks) {
    if (task.onChain || task.takes === 0) continue;
    const room = courses.find((course) => (course.at(-1)?.finish ?? 0) + (course.at(-1)?.float ?? 0) <= task.start);
    if (room) room.push(task);
    else courses.push([task]);
  }
  const base = 24 + (courses.length + 1) * (height + 4);
  const x = (number: number) => number * day;
  const end = tried.room;
  const stone = (task: Tried['tasks'][number], y: number) => {
    const w = Math.max(3, (task.finish - task.start) * day - 2);
    const late = end !== null && task.finish > end;
    return (
      <g key={task.key} className={task.onChain && !late ? 'wall-stone chain' : 'wall-stone'}>
        <rect x={x(task.start)} y={y} width={w} height={height} />
        {late && <rect className="late" x={x(task.start)} y={y + height - 8} width={w} height={8} />}
        {w >= 14 && (
          <text x={x(task.start) + 5} y={y + 15}>
            {w >= 60 ? `${task.number} ${task.name}`.slice(0, Math.floor((w - 8) / 6.2)) : task.number}
          </text>
        )}
        {task.float > 0 && !task.onChain && (
          <path className="spare" d={`M${x(task.finish)} ${y + 11}H${x(task.finish + task.float)}m0 -4v8`} />
        )}
      </g>
    );
  };
  const names = named(tried.days, day);
  return (
    <svg className="day-wall" aria-hidden="true" viewBox={`0 0 ${width} ${base + 6}`} style={{ height: base + 6 }}>
      <defs>
        <pattern id="late-hatch" width="4" height="8" patternUnits="userSpaceOnUse">
          <path d="M2 0V8" />
        </pattern>
      </defs>
      <path className="wall-line" d={`M0 1H${width}`} />
      {tried.days.map((iso, i) => {
        const monday = moment(iso).weekday === 1 || i === 0;
        if (!monday && day < 6) return null;
        return (
          <g key={iso} className="wall-tick">
            <path d={`M${x(i)} 1v${monday ? 7 : 4}`} />
            {names.has(i) && (
              <text x={x(i) + 3} y={15}>
                {moment(iso).toFormat('d LLL')}
              </text>
            )}
          </g>
        );
      })}
      {courses.map((course, i) => course.map((task) => stone(task, 24 + i * (height + 4))))}
      {chain.map((task) => stone(task, base - height - 2))}
      <path className="wall-base" d={`M0 ${base - 1}H${width}`} />
      {end !== null && end >= 0 && <path className="wall-ready" d={`M${x(end)} 1V${base + 4}`} />}
    </svg>
  );
}

/** Places of the days that are named: Mondays, as far apart as their words need. */
function named(days: string[], day: number): Set<number> {
  const at: number[] = [];
  days.forEach((iso, i) => {
    const last = at.at(-1);
    if ((moment(iso).weekday === 1 || i === 0) && (last === undefined || (i - last) * day > 52)) at.push(i);
  });
  return new Set(at);
}
