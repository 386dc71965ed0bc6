import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { useEffect, useState } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows } from '../../shared/Notice';
import { clockTime } from '../../shared/words';
import { useKey } from '../keys';
import type { Kind } from './queries';

type Trial = Schema<'TypeTrial'>;

/** What it would give as it is typed: openings for each person, and why the rest is missing. */
export function TryIt({ settings }: { settings: Kind['settings'] }) {
  const [asked, setAsked] = useState(settings);
  const [address, setAddress] = useState('');
  const [missing, setMissing] = useState<Missing | null>(null);
  useEffect(() => {
    const waiting = window.setTimeout(() => setAsked(settings), 400);
    return () => window.clearTimeout(waiting);
  }, [settings]);
  const trial = useQuery({
    queryKey: ['type-trial', asked, address],
    queryFn: () => need(api.POST('/api/diary/types/try', { body: { settings: asked, address } })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const all = (trial.data?.days ?? []).flatMap((day) =>
    day.lanes.flatMap((lane) => lane.missing.map((one) => ({ ...one, name: lane.staff.name }))),
  );
  /** The next place of a kind, after the one that is told; from the last the first again. */
  const next = (kind?: string) => {
    const of = kind === undefined ? all : all.filter((one) => one.kind === kind);
    const i = of.findIndex((one) => one.at === missing?.at && one.name === missing.name);
    setMissing(of[(i + 1) % Math.max(1, of.length)] ?? null);
  };
  useKey('nextMissing', all.length > 0 ? () => next(missing?.kind) : undefined);
  return (
    <div className={trial.isPlaceholderData ? 'try-it old' : 'try-it'}>
      <div className="pillar-head">
        <h2>Try it</h2>
        <label className="second">
          at{' '}
          <input
            className="kind-value"
            value={address}
            placeholder="an address"
            onChange={(event) => setAddress(event.target.value)}
          />
        </label>
      </div>
      {trial.error ? (
        <p className="second try-none" role="status">
          {trial.error.message}
        </p>
      ) : !trial.data ? (
        <ComingRows rows={6} />
      ) : (
        <>
          <p className="try-count">
            <b>{trial.data.count}</b> times in five days
          </p>
          <div className="try-hours" aria-hidden>
            {[8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18].map((hour) => (
              <span key={hour} style={{ left: `${(hour - 8) * 10}%` }}>
                {hour}
              </span>
            ))}
          </div>
          {trial.data.days.map((day) => (
            <Day
              key={day.day}
              day={day}
              step={asked.step}
              length={asked.lengths[0] ?? 60}
              missing={missing}
              onMissing={setMissing}
            />
          ))}
          <div className="try-missing">
            <div>
              <h3 className="serif">Missing</h3>
              <ul>
                {trial.data.missing.map((one) => (
                  <li key={one.why}>
                    <i className={`why ${whyClass(one.why)}`} aria-hidden />
                    <button type="button" className="link-button" onClick={() => next(one.why)}>
                      {one.why}
                    </button>{' '}
                    <b>{one.count}</b>
                  </li>
                ))}
              </ul>
            </div>
            <p role="status">
              {missing ? (
                <>
                  <b>
                    {DateTime.fromISO(missing.at, { setZone: true }).toFormat('ccc d')}, {clockTime(missing.at)}
                  </b>{' '}
                  is missing for {missing.name}: {missing.why}.
                </>
              ) : (
                'Press an empty place, a reason or J to see why a time is missing.'
              )}
            </p>
          </div>
        </>
      )}
    </div>
  );
}

interface Missing {
  name: string;
  at: string;
  why: string;
  kind: string;
}

/** How a reason is drawn where nothing else stands. */
function whyClass(kind: string): string {
  return kind === 'not working'
    ? 'off'
    : kind === 'too soon'
      ? 'soon'
      : kind.startsWith('another visit')
        ? 'taken'
        : 'other';
}

function Day({
  day,
  step,
  length,
  missing,
  onMissing,
}: {
  day: Trial['days'][number];
  step: number;
  length: number;
  missing: Missing | null;
  onMissing: (missing: Missing) => void;
}) {
  const at = (iso: string) => {
    const time = DateTime.fromISO(iso, { setZone: true });
    return ((time.hour * 60 + time.minute - 8 * 60) / 600) * 100;
  };
  if (day.closed)
    return (
      <p className="try-closed">
        <b>{DateTime.fromISO(day.day).toFormat('ccc d')}</b> {day.closed}
      </p>
    );
  return (
    <div className="try-day">
      <b>{DateTime.fromISO(day.day).toFormat('ccc d')}</b>
      <div>
        {day.lanes.map((lane) => (
          <div key={lane.staff.id} className="try-lane">
            <span>{lane.staff.initials}</span>
            <div className="try-track">
              {lane.starts.map((start) => (
                <i
                  key={start}
                  className="opening"
                  style={{ left: `${at(start)}%`, width: `${(length / 600) * 100}%` }}
                />
              ))}
              {lane.missing.map((one) => (
                <i
                  key={one.at}
                  className={`why ${whyClass(one.kind)}`}
                  style={{ left: `${at(one.at)}%`, width: `${(step / 600) * 100}%` }}
                  aria-hidden
                />
              ))}
              {lane.visits.map((one) => (
                <span
                  key={one.from}
                  className="try-visit"
                  style={{ left: `${at(one.from)}%`, width: `${at(one.to) - at(one.from)}%` }}
                >
                  {one.label}
                </span>
              ))}
              {lane.visits.map((one) => (
                <i
                  key={one.to}
                  className="try-clear"
                  style={{ left: `${at(one.to)}%`, width: `${(one.clear / 600) * 100}%` }}
                  aria-hidden
                />
              ))}
              {lane.missing.map((one) => (
                <button
                  key={one.at}
                  type="button"
                  className={missing?.at === one.at && missing.name === lane.staff.name ? 'told' : undefined}
                  tabIndex={-1}
                  aria-label={`${lane.staff.name}, ${clockTime(one.at)}: ${one.why}`}
                  title={`${clockTime(one.at)}: ${one.why}`}
                  style={{ left: `${at(one.at)}%`, width: `${(step / 600) * 100}%` }}
                  onClick={() => onMissing({ name: lane.staff.name, ...one })}
                />
              ))}
              {lane.starts.map((start, i) =>
                step >= 30 || start.slice(14, 16) === '00' ? (
                  <em key={start} style={{ left: `${at(start)}%` }}>
                    {i === 0 || start.slice(14, 16) === '00' ? Number(start.slice(11, 13)) : ':30'}
                  </em>
                ) : null,
              )}
            </div>
          </div>
        ))}
      </div>
    </div>
  );
}
