import { useCallback, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Empty } from '../../shared/Notice';
import { shortDay } from '../../shared/words';
import { useKey } from '../keys';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { useToast } from '../shell/Toast';
import { useAddress } from '../shell/useAddress';
import { NotReached } from './NotReached';
import { PartsOfProjects } from './PartsOfProjects';
import './projects.css';
import { useMoveStage, useWall } from './queries';
import { coursesOf, isOver, onlyOf, shows, type Stone, type Wall } from './wall';
import './wall.css';
import { WallStone } from './WallStone';
import { useFollowing } from '../shell/following';
import { queryKeys } from '../queryKeys';

const many = 90;

/** Every open project as a stone in the course of its stage; walked by arrows, moved by key, drag or touch. */
export function WallScreen() {
  const wall = useWall();
  useFollowing(queryKeys.wall);
  if (!wall.data) return <PillarsWaiting title="The wall" query={wall} />;
  return <TheWall wall={wall.data} />;
}

function TheWall({ wall }: { wall: Wall }) {
  const { user } = useSignedIn();
  const today = useToday();
  const navigate = useNavigate();
  const toast = useToast();
  const move = useMoveStage();
  const services = useOffers(user.may.includes('projects.lead-any')).data?.services ?? [];
  const [search, set] = useAddress();
  const said = search.toString();
  const only = useMemo(() => onlyOf(new URLSearchParams(said)), [said]);
  const courses = useMemo(() => coursesOf(wall, only, user.id), [wall, only, user.id]);
  const stones = courses.flatMap((course) => course.stones);
  const [at, setAt] = useState('');
  const [open, setOpen] = useState('');
  const [over, setOver] = useState('');
  const [blocked, setBlocked] = useState<{ stone: Stone; stage: string; message: string } | null>(null);
  const here = stones.find((stone) => stone.id === at) ?? stones[0];
  const area = useRef<HTMLDivElement>(null);
  const sending = useRef(false);
  const money = useMemo(() => {
    const format = new Intl.NumberFormat(undefined, { maximumFractionDigits: 0 });
    return (amount: number) => format.format(amount);
  }, []);
  const sum = useMemo(
    () => new Intl.NumberFormat(undefined, { style: 'currency', currency: wall.currency, maximumFractionDigits: 0 }),
    [wall.currency],
  );
  const may = useCallback(
    (stone: Stone) => user.may.includes('projects.lead-any') || stone.leadId === user.id,
    [user.may, user.id],
  );
  // The same function at every drawing: hundreds of stones are not drawn anew for what happens to one.
  const toggle = useCallback((id: string) => setOpen((was) => (was === id ? '' : id)), [setOpen]);
  const moveTo = (stone: Stone, stage: string, reason = '') => {
    // Two keys within one breath are one move.
    if (stone.stage === stage || sending.current) return;
    sending.current = true;
    move.mutate(
      { id: stone.id, version: stone.version, stage, ...(reason ? { reason } : {}) },
      {
        onSettled: () => {
          sending.current = false;
        },
        onSuccess: () => {
          setBlocked(null);
          toast({ words: `${stone.client} stands at ${stage}. U takes it back.` });
        },
        onError: (error) => {
          const missing = error instanceof ProblemError ? error.violations.find((one) => one.path === 'reason') : null;
          if (missing) setBlocked({ stone, stage, message: missing.message });
          else toast({ words: error.message });
        },
      },
    );
  };
  const focus = (id: string | undefined) => {
    if (!id) return;
    setAt(id);
    document.getElementById(`stone-${id}`)?.focus();
  };
  const nextStage = () => {
    if (!here) return;
    const i = courses.findIndex((course) => course.name === here.stage);
    const next = courses[i + 1];
    if (next) moveTo(here, next.name);
  };
  useKey('nextStage', here && may(here) ? nextStage : undefined);
  useKey('nextMissing', () => {
    const late = stones.filter(
      (stone) => stone.late || isOver(stone, courses.find((one) => one.name === stone.stage)?.days ?? null),
    );
    const i = late.findIndex((stone) => stone.id === here?.id);
    focus(late[(i + 1) % Math.max(1, late.length)]?.id);
  });
  const onKey = (event: KeyboardEvent) => {
    if (!here) return;
    const i = stones.indexOf(here);
    const go = (id: string | undefined) => {
      event.preventDefault();
      event.stopPropagation();
      focus(id);
    };
    const course = courses.find((one) => one.stones.includes(here));
    if (event.key === 'ArrowRight') go(stones[i + 1]?.id);
    else if (event.key === 'ArrowLeft') go(stones[i - 1]?.id);
    else if (event.key === 'ArrowDown' || event.key === 'ArrowUp')
      go(nearest(here.id, event.key === 'ArrowDown', area.current));
    else if (event.key === 'Home') go(course?.stones[0]?.id);
    else if (event.key === 'End') go(course?.stones.at(-1)?.id);
    else if (event.key === 'PageDown' || event.key === 'PageUp') {
      const filled = courses.filter((one) => one.stones.length > 0);
      const c = filled.findIndex((one) => one === course);
      go(filled[c + (event.key === 'PageDown' ? 1 : -1)]?.stones[0]?.id);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      void navigate(`/projects/${here.id}`);
    } else if (event.key === ' ') {
      event.preventDefault();
      event.stopPropagation();
      setOpen(open === here.id ? '' : here.id);
    }
  };
  const small = stones.length > many;
  const hidden = wall.projects.length - stones.length;
  const count = (part: Partial<typeof only>) =>
    wall.projects.filter((stone) =>
      shows(
        stone,
        { ...onlyOf(new URLSearchParams()), ...part },
        user.id,
        wall.stages.find((one) => one.name === stone.stage)?.days ?? null,
      ),
    ).length;
  const choice = (
    key: 'lead' | 'service' | 'tag' | 'source',
    all: string,
    options: { value: string; label: string }[],
  ) => (
    <select aria-label={all} value={only[key]} onChange={(event) => set(key, event.target.value)}>
      <option value="">{all}</option>
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
  const distinct = (values: string[]) =>
    [...new Set(values)]
      .filter(Boolean)
      .sort()
      .map((value) => ({ value, label: value }));
  const leads = [...new Map(wall.projects.map((one) => [one.leadId, one.lead])).entries()].map(([value, label]) => ({
    value,
    label,
  }));
  const asked = (key: 'late' | 'waiting' | 'mine') => (
    <label key={key}>
      <input type="checkbox" checked={only[key]} onChange={(event) => set(key, event.target.checked ? '1' : '')} />{' '}
      {key} <b className="figures">{count({ [key]: true })}</b>
    </label>
  );
  return (
    <Pillars
      title="The wall"
      head={
        <div className="wall-head">
          <h1>The wall</h1>
          <PartsOfProjects />
          <p>
            <b className="figures">{stones.length}</b> open projects of {choice('lead', 'everyone', leads)},{' '}
            {choice(
              'service',
              'all kinds of work',
              services.length > 0 ? services : distinct(wall.projects.map((one) => one.service)),
            )}
            , {choice('tag', 'any tag', distinct(wall.projects.flatMap((one) => one.tags)))},{' '}
            {choice('source', 'from anywhere', distinct(wall.projects.map((one) => one.source)))}
          </p>
          <p className="wall-only">
            <span className="second">Only</span> {(['late', 'waiting', 'mine'] as const).map(asked)}
            {hidden > 0 && <span className="second">{hidden} not shown</span>}
          </p>
          <b className="figures wall-sum">{sum.format(courses.reduce((all, one) => all + one.sum, 0))}</b>
        </div>
      }
      pillars={[
        {
          name: 'The wall',
          width: '1fr',
          content: (
            <div ref={area} className="wall" onKeyDown={onKey}>
              {wall.more && <p className="second">These are the first 1,000. The table has them all.</p>}
              {blocked && (
                <NotReached
                  message={blocked.message}
                  mayGoOn={user.role === 'owner'}
                  busy={move.isPending}
                  onGoOn={(reason) => moveTo(blocked.stone, blocked.stage, reason)}
                  onCancel={() => setBlocked(null)}
                />
              )}
              {wall.projects.length === 0 && (
                <Empty fact="No open projects.">An accepted plan, or New project, lays the first stone.</Empty>
              )}
              {courses.map((course) => {
                const shown = course.stones.find((stone) => stone.id === open);
                return (
                  <section
                    key={course.name}
                    aria-label={course.name}
                    className={over === course.name ? 'wall-course over' : 'wall-course'}
                    onDragOver={(event) => {
                      event.preventDefault();
                      if (over !== course.name) setOver(course.name);
                    }}
                    onDrop={(event) => {
                      event.preventDefault();
                      setOver('');
                      const stone = stones.find((one) => one.id === event.dataTransfer.getData('text/plain'));
                      if (stone) moveTo(stone, course.name);
                    }}
                    onDragEnd={() => setOver('')}
                  >
                    <header>
                      <h2>
                        {course.name} <span className="figures">{course.sum > 0 ? sum.format(course.sum) : ''}</span>
                      </h2>
                      <p className="second">
                        <span>
                          {course.stones.length} here{course.over > 0 && <b>, {course.over} over</b>}
                        </span>
                        {course.days !== null && <span>promised {course.days} d</span>}
                      </p>
                    </header>
                    <ul className="wall-stones">
                      {course.stones.map((stone) => (
                        <WallStone
                          key={stone.id}
                          stone={stone}
                          days={course.days}
                          money={money}
                          small={small}
                          at={stone.id === here?.id}
                          open={stone.id === open}
                          draggable={may(stone)}
                          onAt={setAt}
                          onOpen={toggle}
                        />
                      ))}
                    </ul>
                    {shown && (
                      <div className="wall-details">
                        <div>
                          <h3>
                            <Link to={`/projects/${shown.id}`}>{shown.title}</Link>
                          </h3>
                          <p className="second">
                            {shown.number} for {shown.client}, led by {shown.lead}
                          </p>
                        </div>
                        <dl>
                          <div>
                            <dt>At {course.name}</dt>
                            <dd>
                              {shown.days} days{course.days !== null && `, promised ${course.days}`}
                            </dd>
                          </div>
                          <div>
                            <dt>Ready by</dt>
                            <dd>{shown.readyBy ? shortDay(shown.readyBy, today) : 'no day'}</dd>
                          </div>
                          <div>
                            <dt>Next</dt>
                            <dd>
                              {shown.next
                                ? `${shown.next.name}, ${shown.next.who}, ${shortDay(shown.next.due, today)}`
                                : 'nothing to do'}
                            </dd>
                          </div>
                        </dl>
                        {may(shown) && (
                          <label>
                            Move to{' '}
                            <select
                              value={shown.stage}
                              disabled={move.isPending}
                              onChange={(event) => moveTo(shown, event.target.value)}
                            >
                              {wall.stages.map((stage) => (
                                <option key={stage.name} value={stage.name}>
                                  {stage.name}
                                </option>
                              ))}
                            </select>
                          </label>
                        )}
                      </div>
                    )}
                  </section>
                );
              })}
            </div>
          ),
          blocks: [
            ...(here
              ? [
                  {
                    label: `Open ${here.client}`,
                    shown: 'Enter',
                    main: true,
                    act: () => void navigate(`/projects/${here.id}`),
                  },
                ]
              : []),
            ...(here && may(here)
              ? [{ label: 'Next stage', keyName: 'nextStage' as const, disabled: move.isPending, act: nextStage }]
              : []),
          ],
        },
      ]}
    />
  );
}

/** The stone above or below that lies nearest. */
function nearest(id: string, down: boolean, area: HTMLElement | null): string | undefined {
  const from = document.getElementById(`stone-${id}`)?.getBoundingClientRect();
  if (!from || !area) return undefined;
  let best: { id: string; far: number } | undefined;
  for (const stone of area.querySelectorAll<HTMLElement>('.wall-project')) {
    const box = stone.getBoundingClientRect();
    const dy = down ? box.top - from.top : from.top - box.top;
    if (dy < 4) continue;
    const far = dy * 10 + Math.abs(box.left - from.left);
    if (!best || far < best.far) best = { id: stone.id.slice('stone-'.length), far };
  }
  return best?.id;
}
