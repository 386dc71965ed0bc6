import { useMemo, useState } from 'react';

export function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';
}

/** “New York” of America/New_York. */
export function zoneName(zone: string): string {
  return (zone.split('/').at(-1) ?? zone).replaceAll('_', ' ');
}

/** By whose clock the times are shown. */
export function ZoneChoice({
  zone,
  home,
  place,
  onChange,
}: {
  zone: string;
  home: string;
  place: string;
  onChange: (zone: string) => void;
}) {
  const [choosing, setChoosing] = useState(false);
  const all = useMemo(() => [...new Set([home, ownZone(), ...Intl.supportedValuesOf('timeZone')])], [home]);
  if (choosing)
    return (
      <label className="zone">
        I am in{' '}
        <select
          autoFocus
          value={zone}
          onChange={(event) => {
            onChange(event.target.value);
            setChoosing(false);
          }}
          onBlur={() => setChoosing(false)}
        >
          {all.map((one) => (
            <option key={one} value={one}>
              {one.replaceAll('_', ' ')}
            </option>
          ))}
        </select>
      </label>
    );
  return (
    <span>
      {zone === home ? (
        <>All times are {place} time.</>
      ) : (
        <>
          All times are yours, in <b>{zoneName(zone)}</b>.
        </>
      )}{' '}
      <button type="button" className="link" onClick={() => setChoosing(true)}>
        I am elsewhere
      </button>
    </span>
  );
}
