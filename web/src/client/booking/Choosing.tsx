import { useState } from 'react';
import { ComingRows, Trouble } from '../../shared/Notice';
import { useNarrow } from './useNarrow';
import { Openings } from './Openings';
import type { Times } from './queries';
import { aheadWords, daysOf, hoursOf, nearestTo, whenWords, type Day } from './times';
import { Wrapped } from './Wrapped';
import { ownZone, ZoneChoice, zoneName } from './ZoneChoice';

interface Props {
  times: Times | undefined;
  error: Error | null;
  again: () => void;
  fetching: boolean;
  chosen: string;
  /** A time that was chosen and has gone. */
  gone: string;
  onChoose: (at: string) => void;
  /** Waits for a place in a group that is full; left out where nobody can. */
  onWait?: (at: string) => void;
  onLater: (from: string) => void;
  earlier: (() => void) | null;
  zone: string;
  onZone: (zone: string) => void;
}

/** Shows the times by the clock of whoever looks, where that differs from the business's. */
export function useZone(home: string): [string, (zone: string) => void] {
  const [zone, setZone] = useState(() => {
    const own = ownZone();
    const now = new Date();
    const shown = (of: string) => now.toLocaleString('en', { timeZone: of });
    return shown(own) === shown(home) ? home : own;
  });
  return [zone, setZone];
}

/** The times, as courses or folded on a phone, with whose clock they go by and the way to later ones. */
export function Choosing({
  times,
  error,
  again,
  fetching,
  chosen,
  gone,
  onChoose,
  onWait,
  onLater,
  earlier,
  zone,
  onZone,
}: Props) {
  const narrow = useNarrow();
  if (!times && error)
    return (
      <Trouble title="The times could not be loaded" again={again}>
        {error.message}
      </Trouble>
    );
  if (!times) return <ComingRows rows={5} />;
  const days = daysOf(times, zone);
  const hours = hoursOf(times, days, zone);
  const place = zoneName(times.zone);
  const first = times.days.find((day) => day.starts.length > 0)?.starts[0];
  const beneath = (day: Day) => (
    <>
      {gone && day.day === dayOf(gone, zone) && <Gone {...{ gone, times, zone, onChoose }} />}
      {onWait && <Full day={day} onWait={onWait} />}
    </>
  );
  const nothing = days.every((day) => day.starts.length === 0 && day.full.length === 0);
  const shared = { days, length: times.length, hours, chosen, onChoose, beneath };
  const words = first ? aheadWords(times.zone, zone, first) : '';
  return (
    <div aria-busy={fetching}>
      <p className="when-words">
        <span>White is free. Press the time at which we should begin.</span>{' '}
        <ZoneChoice zone={zone} home={times.zone} place={place} onChange={onZone} />
      </p>
      {gone && !days.some((day) => day.day === dayOf(gone, zone)) && <Gone {...{ gone, times, zone, onChoose }} />}
      {nothing ? (
        <p className="no-times" role="status">
          Nothing is free in the days ahead. Choose something else above, or ring us.
        </p>
      ) : narrow ? (
        <Wrapped {...shared} />
      ) : (
        <Openings
          {...shared}
          {...(words && first
            ? { ahead: { minutes: aheadMinutes(times.zone, zone, first), words, name: zoneName(times.zone) } }
            : {})}
        />
      )}
      <p className="later">
        {earlier && (
          <button type="button" className="link" onClick={earlier}>
            Earlier days
          </button>
        )}
        {times.next && (
          <button type="button" className="link" onClick={() => onLater(times.next ?? '')}>
            Later days
          </button>
        )}
      </p>
    </div>
  );
}

function aheadMinutes(zone: string, of: string, at: string): number {
  const offset = (name: string) => {
    const moment = new Date(at);
    const local = new Date(moment.toLocaleString('en-US', { timeZone: name }));
    const utc = new Date(moment.toLocaleString('en-US', { timeZone: 'UTC' }));
    return Math.round((local.getTime() - utc.getTime()) / 60_000);
  };
  return offset(zone) - offset(of);
}

function dayOf(at: string, zone: string): string {
  return new Date(at).toLocaleDateString('sv', { timeZone: zone });
}

function Gone({
  gone,
  times,
  zone,
  onChoose,
}: {
  gone: string;
  times: Times;
  zone: string;
  onChoose: (at: string) => void;
}) {
  const nearest = nearestTo(gone, times);
  return (
    <p className="gone" role="alert">
      {whenWords(gone, times.length, zone).replace(/ to .*/, '')} has just gone.{' '}
      {nearest.length > 0 && (
        <>
          Nearest:{' '}
          {nearest.map((at, i) => (
            <button key={at} type="button" className="link" autoFocus={i === 0} onClick={() => onChoose(at)}>
              {whenWords(at, times.length, zone).replace(/ to .*/, '')}
            </button>
          ))}
        </>
      )}
    </p>
  );
}

/** Groups of a day that are full, and the way onto their waiting list. */
function Full({ day, onWait }: { day: Day; onWait: (at: string) => void }) {
  return day.full.map((one) => (
    <p key={one.at} className="full-note">
      {one.words} is full.{' '}
      <button type="button" className="link" onClick={() => onWait(one.at)}>
        Wait for a place
        <span className="unseen">
          {' '}
          on {day.weekday} at {one.words}
        </span>
      </button>
    </p>
  ));
}
