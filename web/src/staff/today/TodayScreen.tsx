import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Empty } from '../../shared/Notice';
import { longDay } from '../../shared/words';
import { useKey } from '../keys';
import { useSignedIn } from '../session';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { useToast } from '../shell/Toast';
import { ArrivalsChart } from './ArrivalsChart';
import { arrivalPath } from './day';
import { MyDay } from './MyDay';
import { DayPrint } from './DayPrint';
import { QuotesWaiting } from './QuotesWaiting';
import { StandsOut } from './StandsOut';
import { TasksDue } from './TasksDue';
import { useFinish, useTodaySheet } from './queries';
import './today.css';
import { VisitLanes } from './VisitLanes';
import { Waiting } from './Waiting';

/** The day sheet, the first screen of the day: reply clocks and visits on the ruler’s scale, tasks due, what came. */
export function TodayScreen() {
  const sheet = useTodaySheet();
  const me = useSignedIn().user;
  const decides = me.may.includes('arrivals.decide');
  const keeps = me.may.includes('diary.keep');
  const narrow = useMediaQuery('(max-width: 899px)', { noSsr: true });
  const navigate = useNavigate();
  const toast = useToast();
  const finish = useFinish();
  const [at, setAt] = useState('');
  const open = (sheet.data?.tasks ?? []).filter((task) => task.state !== 'done');
  const i = Math.max(
    0,
    open.findIndex((task) => task.id === at),
  );
  const task = open[i];
  useKey('next', () => setAt(open[Math.min(i + 1, open.length - 1)]?.id ?? ''));
  useKey('previous', () => setAt(open[Math.max(i - 1, 0)]?.id ?? ''));
  const done = (one: (typeof open)[number]) =>
    finish.mutate(one, {
      onSuccess: () => toast({ words: `${one.name} is done.` }),
      onError: (error) => toast({ words: error.message }),
    });
  useKey('choose', task ? () => done(task) : undefined);
  const first = sheet.data?.waiting[0];
  const data = sheet.data;
  if (!data) return <PillarsWaiting title="Today" query={sheet} />;
  const nothing = data.waiting.length === 0 && data.visits.length === 0 && data.tasks.length === 0;
  const head = (
    <section className="today-head" aria-label="The day">
      <h1 className="unseen">Today, {longDay(data.day)}</h1>
      {!decides || (narrow && data.waiting.length === 0) ? null : <Waiting today={data} />}
      {!decides ? <MyDay today={data} /> : <VisitLanes today={data} />}
      <DayPrint today={data} />
    </section>
  );
  const late = open.filter((one) => one.late).length;
  return (
    <Pillars
      title="Today"
      head={nothing ? undefined : head}
      pillars={[
        {
          name: 'Tasks due',
          tally: open.length || undefined,
          width: decides ? '661px' : '1fr',
          middling: '1fr',
          content: (
            <>
              <div className="pillar-head">
                <h2>Tasks due</h2>
                <small>
                  {open.length}
                  {data.moreTasks && '+'} open{late > 0 && `, ${late} late`}. <Link to="/tasks">My tasks</Link>
                </small>
              </div>
              {nothing ? (
                <Empty fact="Nothing waits today.">What comes, who goes where and what is due stands here.</Empty>
              ) : (
                <TasksDue
                  tasks={data.tasks}
                  more={data.moreTasks}
                  chosen={task?.id ?? ''}
                  onChoose={setAt}
                  onDone={done}
                  busy={finish.isPending}
                />
              )}
            </>
          ),
          blocks: [
            ...(first
              ? [
                  {
                    label: `Answer ${first.name}`,
                    keyName: 'main' as const,
                    main: true,
                    act: () => void navigate(arrivalPath(first)),
                  },
                ]
              : []),
          ],
        },
        ...(decides
          ? [
              {
                name: 'Quotes',
                tally: data.quotes.count || undefined,
                width: '304px',
                content: <QuotesWaiting quotes={data.quotes} />,
              },
              {
                name: 'What came',
                width: '1fr',
                content: (
                  <>
                    <StandsOut facts={data.standsOut} />
                    <ArrivalsChart days={data.arrivals} />
                  </>
                ),
                blocks: [
                  ...(keeps
                    ? [{ label: 'New visit', keyName: 'newVisit' as const, act: () => void navigate('/diary?new=1') }]
                    : []),
                  { label: 'Print the day', keyName: 'print' as const, act: () => window.print() },
                ],
              },
            ]
          : []),
      ]}
    />
  );
}
