import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { DateTime } from 'luxon';
import { useEffect, useState } from 'react';
import { api, need, type Schema } from '../../shared/api';
import { ComingRows } from '../../shared/Notice';
import { clockTime } from '../../shared/words';
import type { Kind } from './queries';

type Trial = Schema<'TypeTrial'>;

/** What it would give as it is typed: openings for each person, and why the rest is missing. */
export function TryIt({ settings }: { settings: Kind['settings'] }) {
  const [asked, setAsked] = useState(settings);
  const [address, setAddress] = useState('');
  const [missing, setMissing] = useState<{ name: string; at: string; why: string } | null>(null);
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
  return (
    <div className={trial.isPlaceholderData ? 'try-it old' : 'try-it'}>
      <div className="pillar-head">
        <h2>Try it</h2>
        <label className="second">
          at{' '}
          <input
            className="value"
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
          {trial.data.days.map((day) => (
            <Day key={day.day} day={day} step={asked.step} length={asked.lengths[0] ?? 60} onMissing={setMissing} />
          ))}
          <div className="try-missing">
            <div>
              <h3 className="serif">Missing</h3>
              <ul>
                {trial.data.missing.map((one) => (
                  <li key={one.why}>
                    {one.why} <b>{one.count}</b>
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
                'Press an empty place to see why a time is missing there.'
              )}
            </p>
          </div>
        </>
      )}
    </div>
  );
}

function Day({
  day,
  step,
  length,
  onMissing,
}: {
  day: Trial['days'][number];
  step: number;
  length: number;
  onMissing: (missing: { name: string; at: string; why: string }) => void;
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
                <button
                  key={one.at}
                  type="button"
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
