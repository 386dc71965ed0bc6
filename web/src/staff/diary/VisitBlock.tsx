import ButtonBase from '@mui/material/ButtonBase';
import Tooltip from '@mui/material/Tooltip';
import { useRef, useState, type PointerEvent } from 'react';
import { MarkShape } from '../../shared/Mark';
import { clockTime } from '../../shared/words';
import { beside, stretch } from '../shell/ruler';
import type { Visit } from './queries';
import { minuteOf } from './weeks';

export interface Moved {
  visit: Visit;
  from: number;
  to: number;
  /** How many lanes further down. */
  lanes: number;
}

interface Props {
  visit: Visit;
  chosen: boolean;
  clash: boolean;
  onOpen: () => void;
  /** None where it may not be moved. */
  onMove: ((moved: Moved) => void) | undefined;
  trackWidth: () => number;
  laneHeight: number;
}

const words = {
  offered: 'no yes yet',
  booked: 'booked',
  held: 'held',
  missed: 'missed',
  cancelled: 'cancelled',
} as const;

function visitName(visit: Visit): string {
  return `${visit.staff.name}, ${visit.title}${visit.who ? `, ${visit.who}` : ''}${visit.place ? `, ${visit.place}` : ''}, ${clockTime(visit.startsAt)} to ${clockTime(visit.endsAt)}, ${words[visit.state]}`;
}

/** A visit at its true place; dragged it moves, its right end stretches it. Every move is a key too: on its own sheet. */
export function VisitBlock({ visit, chosen, clash, onOpen, onMove, trackWidth, laneHeight }: Props) {
  const [from, to] = [minuteOf(visit.startsAt), minuteOf(visit.endsAt)];
  const [drag, setDrag] = useState<{ from: number; to: number; lanes: number } | null>(null);
  const start = useRef<{ x: number; y: number; stretch: boolean } | null>(null);
  const now = drag ?? { from, to, lanes: 0 };

  const down = (event: PointerEvent<HTMLElement>) => {
    if (!onMove || event.button !== 0 || event.pointerType === 'touch') return;
    const box = event.currentTarget.getBoundingClientRect();
    start.current = { x: event.clientX, y: event.clientY, stretch: event.clientX > box.right - 8 };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const moving = (event: PointerEvent<HTMLElement>) => {
    const at = start.current;
    if (!at) return;
    const minutes = Math.round(((event.clientX - at.x) / trackWidth()) * 48) * 15;
    const lanes = at.stretch ? 0 : Math.round((event.clientY - at.y) / laneHeight);
    if (!drag && minutes === 0 && lanes === 0) return;
    setDrag(
      at.stretch
        ? { from, to: Math.max(from + 15, to + minutes), lanes: 0 }
        : { from: from + minutes, to: to + minutes, lanes },
    );
  };
  const up = () => {
    start.current = null;
    if (!drag) return;
    const moved = drag;
    setDrag(null);
    if (moved.from !== from || moved.to !== to || moved.lanes !== 0) onMove?.({ visit, ...moved });
  };
  return (
    <>
      {visit.clearBefore > 0 && !drag && (
        <i className="kept-clear" aria-hidden style={beside(from - visit.clearBefore, from)} />
      )}
      {visit.clearAfter > 0 && !drag && (
        <i className="kept-clear" aria-hidden style={beside(to, to + visit.clearAfter)} />
      )}
      {visit.roadBefore > 0 && !drag && (
        <i
          className="road"
          aria-hidden
          style={beside(from - visit.roadBefore - visit.clearBefore, from - visit.clearBefore)}
        >
          <span>{visit.roadBefore}</span>
        </i>
      )}
      <Tooltip describeChild title={visitName(visit)} enterDelay={400}>
        <ButtonBase
          className={`diary-visit ${visit.state} ${visit.now} ${chosen ? 'chosen' : ''} ${clash ? 'clash' : ''} ${drag ? 'dragged' : ''}`}
          style={{ ...stretch(now.from, now.to), transform: `translateY(${now.lanes * laneHeight}px)` }}
          onPointerDown={down}
          onPointerMove={moving}
          onPointerUp={up}
          onPointerCancel={() => {
            start.current = null;
            setDrag(null);
          }}
          onClick={onOpen}
        >
          <span className="visit-title">
            {visit.state === 'offered' && <MarkShape kind="waiting" />}
            {visit.state === 'missed' && <MarkShape kind="stopped" />}
            {visit.state === 'held' && <MarkShape kind="done" />}
            {clash && <MarkShape kind="choose" />}
            {visit.wish && <MarkShape kind="choose" />}
            <span>{visit.who ? `${visit.who}, ${visit.title}` : visit.title}</span>
          </span>
          <span className="visit-time">
            {drag ? `${hm(now.from)}–${hm(now.to)}` : `${clockTime(visit.startsAt)}–${clockTime(visit.endsAt)}`}
          </span>
          <span className="unseen">
            , {visit.staff.name}
            {visit.place && `, ${visit.place}`}, {words[visit.state]}
          </span>
        </ButtonBase>
      </Tooltip>
    </>
  );
}

function hm(minute: number): string {
  return `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
}
