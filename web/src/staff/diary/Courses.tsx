import { DateTime } from 'luxon';
import { useRef } from 'react';
import { Link } from 'react-router';
import { MarkShape } from '../../shared/Mark';
import { count } from '../../shared/numbers';
import { clockTime, longDay } from '../../shared/words';
import { percent, stretch } from '../shell/ruler';
import { LaneHours } from './LaneHours';
import { VisitBlock, type Moved } from './VisitBlock';
import type { Diary, Visit } from './queries';
import { dayOf, freeWords, minuteOf } from './weeks';

/** A time that is offered for what is being placed. */
export interface Slot {
  number: number;
  startsAt: string;
  endsAt: string;
  staff: string;
}

interface Props {
  diary: Diary;
  day: string;
  onDay: (day: string) => void;
  chosen: string;
  onOpen: (visit: Visit) => void;
  onMove: ((moved: Moved, day: string) => void) | undefined;
  slots: Slot[];
  slot: number;
  onSlot: (number: number) => void;
}

const marks = Array.from({ length: 13 }, (_, i) => 7 + i);

/** The days of a week as courses on the ruler’s own hours; the chosen one unfolds into a lane for each person. */
export function Courses({ diary, day, onDay, ...rest }: Props) {
  const clashing = new Set(diary.clashes.flatMap((clash) => [clash.first, clash.second]));
  return (
    <div className="courses">
      {diary.days
        .filter((one) => one.closed !== 'closed' || one.day === day || visitsOn(diary, one.day).length > 0)
        .map((one) =>
          one.day === day ? (
            <OpenDay key={one.day} diary={diary} day={one} clashing={clashing} {...rest} />
          ) : (
            <FoldedDay key={one.day} diary={diary} day={one} slots={rest.slots} onDay={onDay} />
          ),
        )}
    </div>
  );
}

function visitsOn(diary: Diary, day: string): Visit[] {
  return diary.appointments.filter((visit) => dayOf(visit.startsAt) === day);
}

function Hours() {
  return (
    <>
      {marks.map((hour) => (
        <i key={hour} className="hour-line" style={{ left: `${percent(hour * 60)}%` }} aria-hidden />
      ))}
    </>
  );
}

function Now({ diary, day }: { diary: Diary; day: string }) {
  const at = percent(minuteOf(diary.now));
  return day === diary.today && at > 0 && at < 100 ? (
    <i className="now-line" style={{ left: `${at}%` }} aria-hidden />
  ) : null;
}

function FoldedDay({
  diary,
  day,
  slots,
  onDay,
}: {
  diary: Diary;
  day: Diary['days'][number];
  slots: Slot[];
  onDay: (day: string) => void;
}) {
  const visits = visitsOn(diary, day.day);
  const offered = visits.filter((visit) => visit.state === 'offered').length;
  const done = visits.filter((visit) => visit.state === 'held').length;
  const mine = slots.filter((slot) => dayOf(slot.startsAt) === day.day);
  const words = [
    visits.length === 0 ? (day.closed ? '' : 'nothing yet') : count(visits.length, 'visit'),
    done > 0 ? (done === visits.length ? 'all done' : `${done} done`) : '',
    offered > 0 ? `${offered} offered` : '',
  ].filter(Boolean);
  const lanes = diary.staff.filter((one) => visits.some((visit) => visit.staff.id === one.id));
  return (
    <button type="button" className={`day-course folded ${day.closed ? 'closed' : ''}`} onClick={() => onDay(day.day)}>
      <span className="day-name">
        <b>
          {DateTime.fromISO(day.day).toFormat('ccc d')}
          {day.day === diary.today && ', today'}
        </b>
        <span>{words.join(', ') || day.closed}</span>
      </span>
      <span className="day-track" style={{ minHeight: Math.max(20, 4 + 12 * Math.max(lanes.length, 1)) }}>
        <Hours />
        {day.closed && day.closed !== 'closed' && <span className="closed-words">Closed all day, {day.closed}</span>}
        {visits.map((visit) => {
          const lane = lanes.findIndex((one) => one.id === visit.staff.id);
          return (
            <i
              key={visit.id}
              className={`visit-bar ${visit.state}`}
              title={`${visit.staff.initials} ${visit.title}, ${visit.who}, ${clockTime(visit.startsAt)}`}
              style={{
                ...stretch(minuteOf(visit.startsAt), minuteOf(visit.endsAt)),
                top: 4 + 12 * Math.max(lane, 0),
              }}
            />
          );
        })}
        {mine.map((slot) => {
          const left = percent(minuteOf(slot.startsAt));
          return (
            <i
              key={slot.number}
              className="visit-bar slot"
              style={{ left: `${left}%`, width: `${percent(minuteOf(slot.endsAt)) - left}%`, top: 3 }}
            >
              {slot.number}
            </i>
          );
        })}
        <Now diary={diary} day={day.day} />
      </span>
    </button>
  );
}

function OpenDay({
  diary,
  day,
  clashing,
  chosen,
  onOpen,
  onMove,
  slots,
  slot,
  onSlot,
}: {
  diary: Diary;
  day: Diary['days'][number];
  clashing: Set<string>;
} & Omit<Props, 'diary' | 'day' | 'onDay'>) {
  const track = useRef<HTMLDivElement>(null);
  const visits = visitsOn(diary, day.day);
  const laneHeight = diary.staff.length > 6 ? 32 : 45;
  const unconfirmed = visits.filter((visit) => visit.state === 'offered').length;
  const clashes = diary.clashes.filter((clash) => visits.some((visit) => visit.id === clash.second)).length;
  return (
    <section className="day-open" aria-label={longDay(day.day)}>
      <header>
        <h2>
          {DateTime.fromISO(day.day).toFormat('cccc d')}
          <small>{count(visits.length, 'visit')}</small>
        </h2>
        <p>
          {unconfirmed > 0 && (
            <span className="mark waiting">
              <MarkShape kind="waiting" /> {unconfirmed} unconfirmed
            </span>
          )}
          {clashes > 0 && (
            <span className="mark choose">
              <MarkShape kind="choose" /> {count(clashes, 'clash', 'clashes')}
            </span>
          )}
          {day.closed && <span>closed{day.closed === 'closed' ? '' : `, ${day.closed}`}</span>}
        </p>
      </header>
      {day.lanes.map((lane, i) => {
        const person = diary.staff.find((one) => one.id === lane.staff);
        const theirs = visits.filter(
          (visit) => visit.staff.id === lane.staff || visit.also.some((one) => one.id === lane.staff),
        );
        return (
          <div key={lane.staff} className="lane" style={{ height: laneHeight }}>
            <div className="day-name">
              <b>{person?.name}</b>
              <LaneHours
                key={day.day}
                staff={lane.staff}
                name={person?.name ?? ''}
                day={day.day}
                words={
                  lane.away ||
                  (lane.open.length > 0
                    ? lane.open.map((span) => `${clockTime(span.from)} to ${clockTime(span.to)}`).join(', ')
                    : 'not working')
                }
              />
              <em>{lane.away || lane.open.length === 0 ? '' : freeWords(lane.freeMinutes)}</em>
            </div>
            <div className="day-track" ref={i === 0 ? track : undefined}>
              <NotWorking open={lane.open} />
              <Hours />
              {lane.busy.map((span) => {
                const left = Math.max(0, dayOf(span.from) < day.day ? 0 : percent(minuteOf(span.from)));
                const right = dayOf(span.to) > day.day ? 100 : percent(minuteOf(span.to));
                return (
                  <i
                    key={span.from}
                    className="busy"
                    title="busy elsewhere"
                    style={{ left: `${left}%`, width: `${right - left}%` }}
                  />
                );
              })}
              {theirs.map((visit) => (
                <VisitBlock
                  key={visit.id}
                  visit={visit}
                  chosen={visit.id === chosen}
                  clash={clashing.has(visit.id)}
                  onOpen={() => onOpen(visit)}
                  onMove={onMove ? (moved) => onMove(moved, day.day) : undefined}
                  trackWidth={() => track.current?.clientWidth ?? 1000}
                  laneHeight={laneHeight}
                />
              ))}
              {slots
                .filter((one) => one.staff === lane.staff && dayOf(one.startsAt) === day.day)
                .map((one) => {
                  const left = percent(minuteOf(one.startsAt));
                  return (
                    <button
                      key={one.number}
                      type="button"
                      className={one.number === slot ? 'slot-block chosen' : 'slot-block'}
                      style={{ left: `${left}%`, width: `${percent(minuteOf(one.endsAt)) - left}%` }}
                      onClick={() => onSlot(one.number)}
                    >
                      <b>{one.number}</b>
                      <span>{clockTime(one.startsAt)}</span>
                    </button>
                  );
                })}
              <Now diary={diary} day={day.day} />
            </div>
          </div>
        );
      })}
      {day.lanes.length === 0 && (
        <p className="second lanes-none">
          Nobody takes visits yet. Name somebody in a <Link to="/diary/kinds">kind of visit</Link>.
        </p>
      )}
    </section>
  );
}

function NotWorking({ open }: { open: { from: string; to: string }[] }) {
  const spans: [number, number][] = [];
  let at = 7 * 60;
  for (const span of open) {
    const [from, to] = [minuteOf(span.from), minuteOf(span.to) || 24 * 60];
    if (from > at) spans.push([at, from]);
    at = Math.max(at, to);
  }
  if (at < 19 * 60) spans.push([at, 19 * 60]);
  return (
    <>
      {spans.map(([from, to]) => (
        <i
          key={from}
          className="not-working"
          aria-hidden
          style={{ left: `${percent(from)}%`, width: `${percent(to) - percent(from)}%` }}
        />
      ))}
    </>
  );
}
