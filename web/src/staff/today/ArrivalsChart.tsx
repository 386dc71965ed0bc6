import type { Today } from './queries';

const patterns = ['full', 'hatched', 'open', 'stone', 'dashed'] as const;

/** One block for each that came, laid in courses by day; where from is told by pattern. */
export function ArrivalsChart({ days }: { days: Today['arrivals'] }) {
  const sources = [...new Set(days.flatMap((day) => day.counts.map((one) => one.source)))].sort();
  const total = days.reduce((sum, day) => sum + day.counts.reduce((of, one) => of + one.count, 0), 0);
  const highest = Math.max(1, ...days.map((day) => day.counts.reduce((of, one) => of + one.count, 0)));
  const unit = Math.min(13, Math.floor(130 / highest));
  return (
    <figure className="arrivals-chart">
      <figcaption className="pillar-head">
        <h2>What came in 14 days</h2>
        <small>{total}</small>
      </figcaption>
      <div className="chart" aria-hidden>
        {days.map((day) => {
          const sum = day.counts.reduce((of, one) => of + one.count, 0);
          return (
            <div key={day.day}>
              <small>{sum || ''}</small>
              {day.counts.flatMap((one) =>
                Array.from({ length: one.count }, (_, i) => (
                  <i
                    key={one.source + String(i)}
                    className={patterns[sources.indexOf(one.source) % patterns.length]}
                    style={{ height: unit - 2 }}
                  />
                )),
              )}
              <span>{Number(day.day.slice(8))}</span>
            </div>
          );
        })}
      </div>
      <ul>
        {sources.map((source, i) => (
          <li key={source}>
            <i className={patterns[i % patterns.length]} aria-hidden /> {source}{' '}
            <b>{days.reduce((sum, day) => sum + (day.counts.find((one) => one.source === source)?.count ?? 0), 0)}</b>
          </li>
        ))}
      </ul>
    </figure>
  );
}
