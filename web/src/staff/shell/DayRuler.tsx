import ButtonBase from '@mui/material/ButtonBase';
import Tooltip from '@mui/material/Tooltip';
import type { DateTime } from 'luxon';
import { useRef, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { MarkShape } from '../../shared/Mark';
import { count } from '../../shared/numbers';
import { clockTime, longDay, moment } from '../../shared/words';
import { Allowed } from './Allowed';
import { useDay, useServerNow, type Day } from './day';
import { lanes, percent, shares, stretch } from './ruler';
import './ruler.css';
import { useWidth } from './useWidth';

const hours = Array.from({ length: 13 }, (_, i) => i + 7);

/** Today as a strip: appointments in lanes, arrivals as pins, the time now. */
export function DayRuler() {
  const { data: day } = useDay();
  const now = useServerNow(day);
  const visits = day?.appointments.length ?? 0;
  return (
    <section className="ruler" aria-label="Today">
      <div className="ruler-day">
        {day && (
          <>
            <b>{longDay(day.day)}</b>
            <span>
              <Allowed to="arrivals.decide">{day.toAnswer} to answer, </Allowed>
              {count(visits, 'visit')}
            </span>
          </>
        )}
      </div>
      {/* On a phone it has no stones: without pins, the strip itself is what keys scroll. */}
      <div className="ruler-scroll" tabIndex={(day?.arrivals.length ?? 0) > 0 ? -1 : 0}>
        {day && now && <Track day={day} now={now} />}
      </div>
    </section>
  );
}

function Track({ day, now }: { day: Day; now: DateTime }) {
  const track = useRef<HTMLDivElement>(null);
  const width = useWidth(track);
  const navigate = useNavigate();
  const minute = now.hour * 60 + now.minute;
  const at = percent(minute);
  const placed = lanes(day.appointments.map((a) => ({ ...a, from: minutes(a.startsAt), to: minutes(a.endsAt) })));
  return (
    <div className="track" ref={track} onKeyDown={walk}>
      <div className="track-past" style={{ width: `${Math.max(0, at)}%` }} />
      {hours.map((hour) => (
        <div key={hour} className="hour" style={{ left: `${percent(hour * 60)}%` }}>
          {hour < 19 && (Math.abs(hour * 60 + 12 - minute) > 16 ? <span>{String(hour).padStart(2, '0')}</span> : null)}
        </div>
      ))}
      {hours
        .slice(0, -1)
        .flatMap((hour) =>
          [15, 30, 45].map((m) => (
            <div
              key={`${hour}-${m}`}
              className={m === 30 ? 'tick half' : 'tick'}
              style={{ left: `${percent(hour * 60 + m)}%` }}
            />
          )),
        )}
      {at >= 0 && at <= 100 && (
        <>
          <div className="now" style={{ left: `${at}%` }} />
          <div className="now-tag figures" style={{ left: `${Math.min(at, 96)}%` }}>
            {now.toFormat('HH:mm')}
          </div>
        </>
      )}
      <ul aria-label="Visits today">
        {placed.map((block, i) => {
          const place = stretch(block.from, block.to);
          const px = (Number.parseFloat(place.width) / 100) * width;
          const state = {
            done: 'done',
            'under-way': 'under way',
            waiting: 'not confirmed',
            'to-come': 'to come',
            missed: 'missed',
          }[block.state];
          const name = `${block.initials} ${block.title}${block.more > 0 ? ` +${block.more}` : ''}, ${block.staff}, ${block.place}, ${clockTime(block.startsAt)} to ${clockTime(block.endsAt)}, ${state}`;
          return (
            <li key={block.id}>
              <Tooltip title={name}>
                <ButtonBase
                  className={`visit ${block.state}`}
                  style={{ ...place, top: block.lane === 0 ? 17 : 35 }}
                  tabIndex={i === 0 ? 0 : -1}
                  data-stop
                  aria-label={name}
                  onClick={() => void navigate(`/diary/${block.id}`)}
                >
                  {block.state === 'done' && <MarkShape kind="done" />}
                  {block.state === 'waiting' && <MarkShape kind="waiting" />}
                  {px >= 24 && <span>{px < 44 ? block.initials : `${block.initials} ${block.title}`}</span>}
                  {block.more > 0 && <b> +{block.more}</b>}
                </ButtonBase>
              </Tooltip>
            </li>
          );
        })}
      </ul>
      <ul aria-label="Arrivals today">
        {day.arrivals.map((arrival, i) => (
          <li key={arrival.id}>
            <ButtonBase
              className={arrival.answered ? 'pin answered' : 'pin'}
              style={{ left: `${shares(percent(minutes(arrival.receivedAt)))}%` }}
              tabIndex={i === 0 ? 0 : -1}
              data-stop
              title={`${arrival.name}, ${clockTime(arrival.receivedAt)}`}
              aria-label={`${arrival.name}, ${clockTime(arrival.receivedAt)}, ${arrival.answered ? 'answered' : 'not answered'}`}
              onClick={() => void navigate(`/arrivals/${arrival.id}`)}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

function minutes(iso: string): number {
  const time = moment(iso);
  return time.hour * 60 + time.minute;
}

/** Arrow keys walk within a lane; the lane is one tab stop. */
function walk(event: KeyboardEvent<HTMLElement>): void {
  const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
  const list = event.target instanceof Element ? event.target.closest('ul') : null;
  if (step === 0 || !list) return;
  const stops = [...list.querySelectorAll<HTMLElement>('[data-stop]')];
  const next = stops[stops.indexOf(event.target as HTMLElement) + step];
  if (next) {
    event.preventDefault();
    stops.forEach((stop) => (stop.tabIndex = -1));
    next.tabIndex = 0;
    next.focus();
  }
}
