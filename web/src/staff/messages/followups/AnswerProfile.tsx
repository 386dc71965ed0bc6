import { useId, useState } from 'react';
import { Link } from 'react-router';
import { moment } from '../../../shared/words';
import type { FollowUp, List } from './queries';
import { useRehearsal, type Courses } from './queries';
import { daysSince, endOf, pins, posts, stepOf, waits, xOf } from './profile';
import { ProfileLine } from './ProfileLine';
import { PinsAt, PostLabel } from './ProfileMarks';
import { ProfileTable } from './ProfileTable';
import { numbers, stepName, stepWords } from './series';
import type { Wound } from './useWound';
import './profile.css';

interface Props {
  one: FollowUp;
  courses: Courses;
  list: List;
  wound: Wound;
  now: string;
  chosen: string | null;
  onChoose: (key: string) => void;
}

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
            <ProfileLine
              curve={curve}
              end={end}
              width={width}
              standing={standing}
              steps={main}
              chosen={chosen}
              people={inside.map((each) => daysSince(each.startedAt, now))}
              clock={clock}
              sample={wound.answered ? daysSince(wound.start, wound.answered.at) : null}
            />
            {standing.map((post) => (
              <PostLabel
                key={post.keys[0]}
                post={post}
                step={stepOf(main, post)}
                chosen={post.keys.includes(chosen ?? '')}
                number={post.keys.map((key) => number.get(key)).join(' ')}
                figure={one.figures.find((each) => post.keys.includes(each.key))}
                words={(step) => stepWords(step, list, courses)}
                name={(step) => stepName(step, list)}
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
