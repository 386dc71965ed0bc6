import type { Schema } from '../../shared/api';
import './reply-strip.css';

type Clock = Schema<'ReplyClock'>;

/** “42 min”, “1 h 10”, “2 h” */
export function span(minutes: number): string {
  const hours = Math.floor(minutes / 60);
  const rest = minutes % 60;
  if (hours === 0) return `${minutes} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** The reply clock as a measure: a tick an hour, a taller one at the promise, hatched beyond. Its words stand beside it. */
export function ReplyStrip({ clock }: { clock: Clock }) {
  const scale = Math.max(clock.promiseMinutes, clock.usedMinutes, 1);
  const at = (minutes: number) => `${(minutes / scale) * 100}%`;
  const hours = Array.from({ length: Math.floor(clock.promiseMinutes / 60) + 1 }, (_, i) => i * 60).filter(
    (m) => m < clock.promiseMinutes,
  );
  const inside = Math.min(clock.usedMinutes, clock.promiseMinutes);
  return (
    <div className={clock.state === 'stopped' ? 'strip stopped' : 'strip'} aria-hidden="true">
      <i className="strip-line" />
      {hours.map((minute) => (
        <i key={minute} className="strip-hour" style={{ left: at(minute) }} />
      ))}
      <i className="strip-used" style={{ width: at(inside) }} />
      {clock.usedMinutes > clock.promiseMinutes && (
        <i className="strip-over" style={{ left: at(clock.promiseMinutes), right: 0 }} />
      )}
      <i className="strip-promise" style={{ left: at(clock.promiseMinutes) }} />
    </div>
  );
}
