import { useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { Empty } from '../../shared/Notice';
import { useKey } from '../keys';
import { useOffers } from '../people/queries';
import { useSignedIn } from '../session';
import { ListViewsOf } from './ListViewsOf';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { MoreButton } from '../shell/MoreButton';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useAddress } from '../shell/useAddress';
import { useTyped } from '../shell/useTyped';
import { useToday } from '../shell/day';
import { MyDay } from './MyDay';
import { groupsOf, type By } from './groups';
import { useFinishSeveral, useOpenTasks, useTodaySheet, type Task } from './queries';
import { TaskRow } from './TaskRow';
import './today.css';

const dues = [
  { value: '', label: 'any day' },
  { value: 'late', label: 'late' },
  { value: 'today', label: 'today' },
  { value: 'later', label: 'later' },
] as const;

const bys: Record<By, string> = { day: 'by day', project: 'by project', person: 'by person' };

/** One's own tasks, or those of others: late, today, next days and waiting; done with one key, several at once. */
export function MyTasksScreen() {
  const me = useSignedIn().user;
  const all = me.may.includes('records.see-all');
  const [search, set] = useAddress();
  const [, setSearch] = useSearchParams();
  const who = all ? (search.get('who') ?? me.id) : me.id;
  const by = (Object.keys(bys) as By[]).find((one) => one === search.get('by')) ?? 'day';
  const due = dues.find((one) => one.value === search.get('due'))?.value ?? '';
  const [q, setQ] = useTyped(search.get('q') ?? '', (text) => set('q', text));
  const tasks = useOpenTasks({ assignee: who === 'all' ? '' : who, q: search.get('q') ?? '', due });
  const sheet = useTodaySheet();
  const offers = useOffers(all).data?.staff ?? [];
  const today = useToday();
  const toast = useToast();
  const finish = useFinishSeveral();
  const sending = useRef(false);
  const [at, setAt] = useState('');
  const [chosen, setChosen] = useState<string[]>([]);
  const rows = tasks.data?.pages.flatMap((page) => page.items) ?? [];
  const groups = groupsOf(rows, by, today);
  const shown = groups.flatMap((group) => group.tasks);
  const i = shown.findIndex((task) => task.id === at);
  const go = (to: number) => {
    const next = shown[Math.max(0, Math.min(shown.length - 1, to))];
    if (!next) return;
    setAt(next.id);
    document.getElementById(`task-${next.id}`)?.scrollIntoView({ block: 'nearest' });
  };
  useKey('next', () => go(i + 1));
  useKey('previous', () => go(i - 1));
  const choose = (id: string) => setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
  useKey('choose', at ? () => choose(at) : undefined);
  const done = (ids: string[]) => {
    // Two keys within one breath are one act.
    if (ids.length === 0 || sending.current) return;
    sending.current = true;
    finish.mutate(ids, {
      onSettled: () => {
        sending.current = false;
      },
      onSuccess: () => {
        setChosen([]);
        toast({ words: ids.length === 1 ? 'Done. U takes it back.' : `${ids.length} tasks done. U takes it back.` });
      },
      onError: (error) => toast({ words: error.message }),
    });
  };
  const marked = chosen.filter((id) => rows.some((task) => task.id === id));
  const act = marked.length > 0 ? marked : i >= 0 ? [at] : [];
  if (!tasks.data) return <PillarsWaiting title="My tasks" query={tasks} />;
  const late = rows.filter((task) => task.late).length;
  const name =
    who === 'all'
      ? 'All tasks'
      : who === me.id
        ? 'My tasks'
        : (offers.find((one) => one.value === who)?.label ?? 'Tasks');
  return (
    <Pillars
      title="My tasks"
      head={!all && sheet.data && sheet.data.visits.length > 0 ? <MyDay today={sheet.data} /> : undefined}
      pillars={[
        {
          name: 'Tasks',
          tally: rows.length || undefined,
          width: '1fr',
          content: (
            <>
              <div className="pillar-head">
                <h1>{name}</h1>
                <small>
                  {rows.length}
                  {tasks.hasNextPage && '+'} open{late > 0 && `, ${late} late`}.{' '}
                  <a href="/api/tasks/export">To a calendar</a>
                </small>
              </div>
              <div className="tasks-narrow">
                <StaffField label="Find" value={q} onChange={(event) => setQ(event.target.value)} />
                {all && (
                  <label>
                    <span>Whose</span>
                    <select
                      value={who}
                      onChange={(event) => set('who', event.target.value === me.id ? '' : event.target.value)}
                    >
                      <option value={me.id}>mine</option>
                      <option value="all">everybody’s</option>
                      {offers
                        .filter((one) => one.value !== me.id)
                        .map((one) => (
                          <option key={one.value} value={one.value}>
                            {one.label}
                          </option>
                        ))}
                    </select>
                  </label>
                )}
                <label>
                  <span>Due</span>
                  <select value={due} onChange={(event) => set('due', event.target.value)}>
                    {dues.map((one) => (
                      <option key={one.value} value={one.value}>
                        {one.label}
                      </option>
                    ))}
                  </select>
                </label>
                <label>
                  <span>In groups</span>
                  <select
                    value={by}
                    onChange={(event) => set('by', event.target.value === 'day' ? '' : event.target.value)}
                  >
                    {Object.entries(bys).map(([value, label]) => (
                      <option key={value} value={value}>
                        {label}
                      </option>
                    ))}
                  </select>
                </label>
                {all && <ListViewsOf search={search.toString()} onUse={(next) => setSearch(next)} />}
              </div>
              {rows.length === 0 && (
                <Empty fact={q || due ? 'Nothing like that.' : 'Nothing to do.'}>
                  {q || due
                    ? 'Look for other words, another day, or for everybody’s.'
                    : 'What is given to you stands here.'}
                </Empty>
              )}
              {groups.map((group) => (
                <section key={group.key} aria-label={group.name} className="task-group">
                  <h2>
                    <em>{group.name}</em> <small>{group.beside}</small>
                  </h2>
                  <ul>
                    {group.tasks.map((task: Task) => (
                      <TaskRow
                        key={task.id}
                        task={task}
                        today={today}
                        by={by}
                        named={who === 'all'}
                        at={task.id === at}
                        chosen={chosen.includes(task.id)}
                        busy={finish.isPending}
                        onAt={() => setAt(task.id)}
                        onDone={() => done([task.id])}
                      />
                    ))}
                  </ul>
                </section>
              ))}
              <MoreButton list={tasks} />
            </>
          ),
          blocks: [
            {
              label: act.length > 1 ? `Finish ${act.length}` : 'Finish',
              keyName: 'main' as const,
              main: true,
              disabled: act.length === 0 || finish.isPending,
              act: () => done(act),
            },
          ],
        },
      ]}
    />
  );
}
