import { useId, useState } from 'react';
import { Link } from 'react-router';
import { moment } from '../../../shared/words';
import type { FollowUp, List, Step } from './queries';
import { useRehearsal, type Courses } from './queries';
import {
  daysSince,
  endOf,
  hasJoint,
  jointX,
  leftAt,
  line,
  pins,
  posts,
  ticks,
  waits,
  xOf,
  type Pins,
  type Post,
} from './profile';
import { ProfileTable } from './ProfileTable';
import { kindWords, numbers, stepWords } from './series';
import type { Wound } from './useWound';
import './profile.css';

const HIGH = 78;
/** Under so many the line says little, and is dashed. */
const FEW = 20;

interface Props {
  one: FollowUp;
  courses: Courses;
  list: List;
  wound: Wound;
  now: string;
  chosen: string | null;
  onChoose: (key: string) => void;
}

const shapes: Partial<Record<Step['kind'], string>> = { send: 'filled', stage: 'hatched', tag: 'hatched' };
const percent = (share: number) => `${Math.round(share * 100)} %`;

/** Who has not answered yet, by the days since it began, with the steps as posts and whoever is inside as pins. */
export function AnswerProfile({ one, courses, list, wound, now, chosen, onChoose }: Props) {
  const [asTable, setAsTable] = useState(false);
  const [opened, setOpened] = useState<string | null>(null);
  const table = useId();
  const run = useRehearsal(courses, wound.start, '', 'stop');
  const acts = run.data ?? [];
  const end = endOf(acts, wound.start);
  const width = xOf(end) + 46;
  const standing = posts(acts, wound.start, width);
  const main = courses.main ?? [];
  const number = numbers(courses);
  const inside = one.runs.filter((each) => each.state !== 'ended');
  const groups = pins(
    inside.map((each) => ({ days: daysSince(each.startedAt, now), one: each })),
    end,
  );
  const open = groups.find((group) => group.people.length > 1 && group.people[0]?.id === opened);
  const clock = daysSince(wound.start, wound.clock);
  const { curve } = one;
  const share = (days: number) => leftAt(curve, days);
  return (
    <section aria-label="Who has not answered yet" className="profile">
      <div className="profile-head">
        <h2>No answer yet</h2>
        <p className="second">
          {curve.cases === 0
            ? 'nobody has begun in the last 90 days'
            : `per cent of the ${curve.cases} who began in the last 90 days`}
        </p>
        <p className="second">{one.inside === 0 ? 'nobody is inside' : `${one.inside} inside`}</p>
        {standing.length > 0 && (
          <button
            type="button"
            className="link-button"
            aria-expanded={asTable}
            aria-controls={table}
            onClick={() => setAsTable(!asTable)}
          >
            {asTable ? 'As a line' : 'As a table'}
          </button>
        )}
      </div>
      <div className="profile-scroll" id={table} tabIndex={0} role="group" aria-label="Days from the start">
        {asTable ? (
          <ProfileTable one={one} standing={standing} courses={courses} list={list} />
        ) : (
          <div className="profile-sheet" style={{ width }}>
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
                    <path
                      className={curve.cases < FEW ? 'profile-line few' : 'profile-line'}
                      d={line(curve, end, HIGH)}
                    />
                    <text className="profile-number" x={xOf(end) + 5} y={HIGH * (1 - share(end)) + 4}>
                      {percent(share(end))}
                    </text>
                    <text className="profile-number" x={xOf(0) - 5} y={HIGH / 2 + 4} textAnchor="end">
                      50
                    </text>
                  </>
                )}
                <path className="profile-base" d={`M${xOf(0)} ${HIGH}H${xOf(end)}`} />
                {hasJoint(end) && (
                  <path className="profile-gap" d={`M${jointX} -72V${HIGH}M${jointX + 3} -72V${HIGH}`} />
                )}
                {standing.map((post) => (
                  <g
                    key={post.keys[0]}
                    className={post.keys.includes(chosen ?? '') ? 'profile-post chosen' : 'profile-post'}
                  >
                    <path d={`M${post.x} ${curve.cases > 0 ? 0 : HIGH / 2}V${HIGH}`} />
                    <rect
                      className={shapes[stepOf(main, post)?.kind ?? 'task'] ?? 'open'}
                      x={post.x - 4.5}
                      y={(curve.cases > 0 ? HIGH * (1 - share(post.days)) : HIGH) - 4.5}
                      width={9}
                      height={9}
                    />
                  </g>
                ))}
                {inside
                  .map((each) => daysSince(each.startedAt, now))
                  .filter((days) => days <= end)
                  .map((days, i) => (
                    <g key={i} className="profile-person" transform={`translate(${xOf(days)} ${HIGH})`}>
                      <path d="M0 0V-7" />
                      <circle cy={-10.5} r={3.5} />
                    </g>
                  ))}
                {clock > 0 && clock <= end && <path className="profile-clock" d={`M${xOf(clock)} -72V${HIGH}`} />}
                {wound.answered && daysSince(wound.start, wound.answered.at) <= end && (
                  <circle
                    className="profile-sample"
                    cx={xOf(daysSince(wound.start, wound.answered.at))}
                    cy={HIGH - 7}
                    r={4}
                  />
                )}
              </g>
              {waits(main, standing).map(({ step, from, to }) => (
                <path
                  key={step.key}
                  className="profile-wait"
                  transform={`translate(0 ${HIGH + 82})`}
                  d={`M${from + 0.5} -6.5v13M${to - 0.5} -6.5v13M${from} 0H${to}`}
                />
              ))}
            </svg>
            {standing.map((post) => (
              <PostLabel
                key={post.keys[0]}
                post={post}
                step={stepOf(main, post)}
                chosen={post.keys.includes(chosen ?? '')}
                number={post.keys.map((key) => number.get(key)).join(' ')}
                figure={one.figures.find((each) => post.keys.includes(each.key))}
                words={(step) => stepWords(step, list, courses)}
                onChoose={onChoose}
              />
            ))}
            {waits(main, standing).map(({ step, from, to }) => (
              <button
                key={step.key}
                type="button"
                className={step.key === chosen ? 'profile-time chosen' : 'profile-time'}
                style={{ left: (from + to) / 2, maxWidth: Math.max(24, to - from - 10) }}
                title={stepWords(step, list, courses)}
                onClick={() => onChoose(step.key)}
              >
                {to - from > 70 ? stepWords(step, list, courses) : (step.amount ?? 1)}
              </button>
            ))}
            {clock > 0 && clock <= end && (
              <b className="profile-tag figures" style={{ left: Math.min(xOf(clock), width - 150) }}>
                {moment(wound.clock).toFormat('ccc d LLLL, HH:mm')}
              </b>
            )}
            {groups.map((group) => (
              <PinsAt key={group.from} group={group} now={now} isOpen={group === open} onOpen={setOpened} />
            ))}
          </div>
        )}
      </div>
      {open && !asTable && (
        <p className="profile-people">
          {open.people.map((each) => (
            <Link key={each.id} to={`/clients/${each.client.id}`}>
              {each.client.label}, day {Math.floor(daysSince(each.startedAt, now))}
            </Link>
          ))}
        </p>
      )}
    </section>
  );
}

interface PinsProps {
  group: Pins<FollowUp['runs'][number]>;
  now: string;
  isOpen: boolean;
  onOpen: (first: string | null) => void;
}

/** Somebody who stands there opens; of several who stand close, their names do. */
function PinsAt({ group, now, isOpen, onOpen }: PinsProps) {
  const [first] = group.people;
  if (!first) return null;
  if (group.people.length === 1) {
    const words = `${first.client.label}, day ${Math.floor(daysSince(first.startedAt, now))}`;
    return (
      <Link
        to={`/clients/${first.client.id}`}
        className="profile-pin"
        style={{ left: group.from - 12, width: 24 }}
        aria-label={words}
        title={words}
      />
    );
  }
  const words = `${group.people.length} people: ${group.people.map((each) => each.client.label).join(', ')}`;
  return (
    <button
      type="button"
      className="profile-pin"
      style={{ left: group.from - 12, width: group.to - group.from + 24 }}
      aria-expanded={isOpen}
      aria-label={words}
      title={words}
      onClick={() => onOpen(isOpen ? null : first.id)}
    />
  );
}

const stepOf = (steps: Step[], post: Post) => steps.find((step) => step.key === post.keys[0]);

interface LabelProps {
  post: Post;
  step: Step | undefined;
  chosen: boolean;
  number: string;
  figure: FollowUp['figures'][number] | undefined;
  words: (step: Step) => string;
  onChoose: (key: string) => void;
}

/** What stands above a post: its number and name, by what it goes, and what came of it. */
function PostLabel({ post, step, chosen, number, figure, words, onChoose }: LabelProps) {
  if (!step) return null;
  const way = step.kind === 'send' ? (step.asText ? 'text' : 'mail') : kindWords[step.kind].replace('give the ', '');
  const back = figure ? figure.answered + figure.booked + figure.forms : 0;
  return (
    <button
      type="button"
      className={chosen ? 'profile-step chosen' : 'profile-step'}
      style={{ left: post.x, maxWidth: post.room }}
      title={words(step)}
      onClick={() => onChoose(step.key)}
    >
      <span>
        <b className="figures">{number}</b>{' '}
        {post.room > 50 && <b>{step.kind === 'send' ? words({ ...step, asText: false }) : (step.what ?? '')}</b>}
      </span>
      {post.room > 50 && (
        <>
          <span>
            {way}
            {figure && `, ${figure.done} ${step.kind === 'send' ? 'sent' : 'times'}`}
          </span>
          <span>{figure && figure.done > 0 && `${back} back, ${percent(back / figure.done)}`}</span>
        </>
      )}
    </button>
  );
}
