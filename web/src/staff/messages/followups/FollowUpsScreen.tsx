import { useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { ProblemError } from '../../../shared/api';
import { Mark } from '../../../shared/Mark';
import { ComingRows, Trouble } from '../../../shared/Notice';
import { useKey } from '../../keys';
import { useDay, useToday } from '../../shell/day';
import '../../shell/list-group.css';
import { Pillars } from '../../shell/Pillars';
import { PillarsWaiting } from '../../shell/PillarsWaiting';
import { NotFound } from '../../shell/Plain';
import { useToast } from '../../shell/Toast';
import { useOnce } from '../../shell/useOnce';
import { AlsoWriting } from '../../shell/AlsoWriting';
import { Behind } from '../../shell/Behind';
import '../messages.css';
import { PartsOfMessages } from '../PartsOfMessages';
import '../templates/templates.css';
import { freeName, useVersioned } from '../useVersioned';
import { CourseSteps } from './CourseSteps';
import { DryRun } from './DryRun';
import './followups.css';
import { Inside } from './Inside';
import {
  useFollowUp,
  useFollowUpAct,
  useFollowUps,
  useKeepFollowUp,
  useSendToMe,
  type Course,
  type Draft,
  type FollowUp,
  type List,
  type Row,
  type Step,
} from './queries';
import { courseOrder, courseWords, inTime, moved, placeOf } from './series';
import { AnswerProfile } from './AnswerProfile';
import { useWound } from './useWound';

/** Follow-ups: what is sent when nothing comes, and what happens when something does. */
export function FollowUpsScreen() {
  const { id } = useParams();
  const list = useFollowUps();
  const row = list.data?.items.find((one) => one.id === id || one.key === id) ?? (id ? undefined : list.data?.items[0]);
  const one = useFollowUp(row?.id);
  if (!list.data) return <PillarsWaiting title="Follow-ups" query={list} />;
  if (id && !row) return <NotFound what="follow-up" />;
  return <One key={row?.id} list={list.data} row={row} one={one.data} error={one.error} />;
}

interface Props {
  list: List;
  row: Row | undefined;
  one: FollowUp | undefined;
  error: Error | null;
}

function One({ list, row, one, error }: Props) {
  const navigate = useNavigate();
  const toast = useToast();
  const today = useToday();
  const day = useDay();
  const keep = useKeepFollowUp();
  const act = useFollowUpAct();
  const once = useOnce();
  const [chosen, setChosen] = useState<string | null>(null);
  const work = useVersioned<Draft, FollowUp>(`follow-up.${row?.id ?? ''}`, one, draftOf, nothing, keep);
  const { draft, edited, faults } = work;
  const place = list.items.findIndex((each) => each.id === row?.id);
  const go = (to: number) => {
    const next = list.items[to];
    if (next) void navigate(`/messages/follow-ups/${next.id}`);
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const add = () =>
    once((done) =>
      keep.mutate(
        { id: undefined, version: 0, draft: newDraft(list) },
        {
          onSettled: done,
          onSuccess: (made) => void navigate(`/messages/follow-ups/${made.id}`),
          onError: (error) => toast({ words: error.message }),
        },
      ),
    );
  const stands = placeOf(draft.courses, chosen);
  const steps = stands ? (draft.courses[stands.course] ?? []) : [];
  const put = (next: Step[]) => stands && work.change({ courses: { ...draft.courses, [stands.course]: next } });
  const shift = (by: 1 | -1) =>
    stands && stands.at + by >= 0 && stands.at + by < steps.length && put(moved(steps, stands.at, stands.at + by));
  useKey('up', stands ? () => shift(-1) : undefined);
  useKey('down', stands ? () => shift(1) : undefined);
  useKey('sooner', stands ? () => put(inTime(steps, stands.at, -1)) : undefined);
  useKey('later', stands ? () => put(inTime(steps, stands.at, 1)) : undefined);
  useKey('takeOut', stands ? () => put(steps.filter((_, at) => at !== stands.at)) : undefined);
  const toMe = useSendToMe();
  const wound = useWound(day.data?.now);
  const inside = one?.inside ?? 0;
  return (
    <Pillars
      title={draft.name ? `${draft.name}, Follow-ups` : 'Follow-ups'}
      head={
        one && wound && day.data ? (
          <AnswerProfile
            one={one}
            courses={draft.courses}
            list={list}
            wound={wound}
            now={day.data.now}
            chosen={chosen}
            onChoose={(key) => setChosen(key === chosen ? null : key)}
          />
        ) : null
      }
      pillars={[
        {
          name: 'Follow-ups',
          width: '252px',
          middling: '220px',
          folds: true,
          tally: list.items.length,
          content: (
            <>
              <PartsOfMessages />
              <section aria-label="Follow-ups" className="list-group">
                <h2>
                  <em>Follow-ups</em>
                  <small>
                    <button type="button" className="link-button" onClick={add}>
                      Add follow-up
                    </button>
                  </small>
                </h2>
                <ul>
                  {list.items.map((each) => (
                    <li key={each.id}>
                      <NavLink
                        to={`/messages/follow-ups/${each.id}`}
                        className={each.id === row?.id ? 'list-row active' : 'list-row'}
                      >
                        <b>{each.name}</b>
                        {each.on ? (
                          <span className="figures second">{each.inside} inside</span>
                        ) : (
                          <Mark kind="stopped">off</Mark>
                        )}
                      </NavLink>
                    </li>
                  ))}
                </ul>
              </section>
              {one && <Inside one={one} list={list} today={today} />}
            </>
          ),
        },
        {
          name: 'Steps',
          sheet: true,
          width: '560px',
          middling: '1fr',
          wide: '720px',
          content: one ? (
            <>
              <div className="pillar-head">
                <h1>
                  <input
                    className="title-field"
                    aria-label="Name"
                    value={draft.name}
                    maxLength={100}
                    onChange={(event) => work.change({ name: event.target.value })}
                  />
                </h1>
                <small>
                  version {one.version}
                  {edited && ', not saved'}
                  {!one.on && ', off'}
                </small>
              </div>
              {faults.name && (
                <p className="fault" role="alert">
                  {faults.name}
                </p>
              )}
              {work.trouble && <Trouble title="Not saved">{work.trouble}</Trouble>}
              <AlsoWriting name={`follow-up.${one.id}`} />
              {work.behind && (
                <Behind version={one.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
              )}
              {edited && inside > 0 && (
                <p className="second">
                  {inside} inside {inside === 1 ? 'keeps' : 'keep'} the version that they began with, until you bring
                  them.
                </p>
              )}
              {courseOrder.map((course) => (
                <section
                  key={course}
                  aria-label={courseWords[course]}
                  className={course === 'main' ? 'series-course main' : 'series-course'}
                >
                  {course === 'yes' && <h2 className="group-label">What came back</h2>}
                  <h3>{courseWords[course]}</h3>
                  <div>
                    {faults[`courses.${course}`] && (
                      <p className="fault" role="alert">
                        {faults[`courses.${course}`]}
                      </p>
                    )}
                    <CourseSteps
                      course={course}
                      courses={draft.courses}
                      list={list}
                      one={one}
                      chosen={chosen}
                      faults={faults}
                      onChoose={setChosen}
                      onChange={(steps) =>
                        work.change({
                          courses: { ...draft.courses, [course]: steps } satisfies
                            Record<Course, unknown> | Draft['courses'],
                        })
                      }
                    />
                  </div>
                </section>
              ))}
              <section className="series-course" aria-label="Stop">
                <h3>Stop</h3>
                <p className="second">
                  Ends at once, and nothing unasked is sent to them any more. This cannot be changed.
                </p>
              </section>
            </>
          ) : error ? (
            <Trouble title="Not loaded">{error.message}</Trouble>
          ) : (
            <ComingRows rows={8} />
          ),
          blocks: one
            ? [
                {
                  label: keep.isPending ? 'Saving…' : `Save version ${one.version + 1}`,
                  keyName: 'main',
                  main: true,
                  disabled: keep.isPending || !edited || work.behind,
                  act: work.save,
                },
                ...(edited ? [{ label: 'Discard', act: work.discard }] : []),
                {
                  label: one.on ? 'Switch off' : 'Switch on',
                  disabled: act.isPending,
                  act: () =>
                    act.mutate(
                      { what: 'switch', id: one.id, on: !one.on },
                      {
                        onSuccess: () =>
                          toast({
                            words: one.on
                              ? `${one.name} is off: nobody new begins. U takes it back.`
                              : `${one.name} is on: rules may begin it. U takes it back.`,
                          }),
                        onError: (failed) => toast({ words: failed.message }),
                      },
                    ),
                },
              ]
            : [],
        },
        {
          name: 'Dry run',
          width: '1fr',
          middling: '360px',
          content: one && wound ? <DryRun courses={draft.courses} list={list} wound={wound} /> : null,
          blocks: one
            ? [
                {
                  label: toMe.isPending ? 'Sending…' : 'Send me all of it',
                  keyName: 'tryIt',
                  disabled: toMe.isPending,
                  act: () =>
                    once((done) =>
                      toMe.mutate(draft, {
                        onSettled: done,
                        onSuccess: ({ sent, to }) =>
                          toast({
                            words: `${sent === 1 ? '1 message is' : `${sent} messages are`} on their way to ${to}, each with its time`,
                          }),
                        onError: (failed) =>
                          toast({
                            words:
                              failed instanceof ProblemError
                                ? (failed.violations[0]?.message ?? failed.message)
                                : failed.message,
                          }),
                      }),
                    ),
                },
              ]
            : [],
        },
      ]}
    />
  );
}

const nothing: Draft = { name: '', courses: {} };
const draftOf = ({ name, courses }: FollowUp): Draft => ({ name, courses });

function newDraft(list: List): Draft {
  return {
    name: freeName(
      'New follow-up',
      list.items.map((one) => one.name),
    ),
    courses: {
      main: [
        { key: 'wait-1', kind: 'wait', amount: 2, unit: 'days', at: '10:00' },
        { key: 'send-1', kind: 'send', what: list.templates[0]?.value ?? '' },
      ],
    },
  };
}
