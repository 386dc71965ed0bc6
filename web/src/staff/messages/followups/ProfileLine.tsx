import type { Step } from './queries';
import { hasJoint, jointX, leftAt, line, percent, stepOf, ticks, waits, xOf, type Curve, type Post } from './profile';

const HIGH = 78;
/** Under so many the line says little, and is dashed. */
const FEW = 20;

const shapes: Partial<Record<Step['kind'], string>> = { send: 'filled', stage: 'hatched', tag: 'hatched' };

interface Props {
  curve: Curve;
  /** Days that the scale goes to. */
  end: number;
  width: number;
  standing: Post[];
  /** Of the main course. */
  steps: Step[];
  chosen: string | null;
  /** Days at which somebody stands. */
  people: number[];
  /** Days that the clock is wound by. */
  clock: number;
  /** Days at which the sample answers; null where it does not. */
  sample: number | null;
}

/** The drawing of an answer profile: scale, line, posts, waits, people, the clock. What can be pressed lies over it. */
export function ProfileLine({ curve, end, width, standing, steps, chosen, people, clock, sample }: Props) {
  const share = (days: number) => leftAt(curve, days);
  return (
    <svg width={width} height={HIGH + 92} aria-hidden="true">
      {ticks(end).map((day) => (
        <g key={day} transform={`translate(${xOf(day)} 0)`} className="profile-tick">
          <path d="M.5 0V14" />
          <text x={4} y={12}>
            {day === 0 ? 'day 0' : day}
          </text>
        </g>
      ))}
      <g transform="translate(0 72)">
        {[0.25, 0.5, 0.75].map((part) => (
          <path key={part} className="profile-joint" d={`M${xOf(0)} ${HIGH * part}H${xOf(end)}`} />
        ))}
        {curve.cases > 0 && (
          <>
            <path className="profile-fill" d={`${line(curve, end, HIGH)}V${HIGH}H${xOf(0)}Z`} />
            <path className={curve.cases < FEW ? 'profile-line few' : 'profile-line'} d={line(curve, end, HIGH)} />
            <text className="profile-number" x={xOf(end) + 5} y={HIGH * (1 - share(end)) + 4}>
              {percent(share(end))}
            </text>
            <text className="profile-number" x={xOf(0) - 5} y={HIGH / 2 + 4} textAnchor="end">
              50
            </text>
          </>
        )}
        <path className="profile-base" d={`M${xOf(0)} ${HIGH}H${xOf(end)}`} />
        {hasJoint(end) && <path className="profile-gap" d={`M${jointX} -72V${HIGH}M${jointX + 3} -72V${HIGH}`} />}
        {standing.map((post) => (
          <g key={post.keys[0]} className={post.keys.includes(chosen ?? '') ? 'profile-post chosen' : 'profile-post'}>
            <path d={`M${post.x} ${curve.cases > 0 ? 0 : HIGH / 2}V${HIGH}`} />
            <rect
              className={shapes[stepOf(steps, post)?.kind ?? 'task'] ?? 'open'}
              x={post.x - 4.5}
              y={(curve.cases > 0 ? HIGH * (1 - share(post.days)) : HIGH) - 4.5}
              width={9}
              height={9}
            />
          </g>
        ))}
        {people
          .filter((days) => days <= end)
          .map((days, i) => (
            <g key={i} className="profile-person" transform={`translate(${xOf(days)} ${HIGH})`}>
              <path d="M0 0V-7" />
              <circle cy={-10.5} r={3.5} />
            </g>
          ))}
        {clock > 0 && clock <= end && <path className="profile-clock" d={`M${xOf(clock)} -72V${HIGH}`} />}
        {sample !== null && sample <= end && <circle className="profile-sample" cx={xOf(sample)} cy={HIGH - 7} r={4} />}
      </g>
      {waits(steps, standing).map(({ step, from, to }) => (
        <path
          key={step.key}
          className="profile-wait"
          transform={`translate(0 ${HIGH + 82})`}
          d={`M${from + 0.5} -6.5v13M${to - 0.5} -6.5v13M${from} 0H${to}`}
        />
      ))}
    </svg>
  );
}
