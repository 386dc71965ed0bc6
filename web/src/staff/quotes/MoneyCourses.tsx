import type { Quotes } from './queries';
import { courses, money, states } from './states';

/** Courses by state, a stone as long as its money; what is likely of it is inked. */
export function MoneyCourses({
  rows,
  sums,
  chosen,
  onChoose,
}: {
  rows: Quotes['items'];
  sums: Quotes['sums'];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const by = courses.map((course) => rows.filter((row) => states[row.state].course === course));
  const longest = Math.max(1, ...by.map((of) => of.reduce((sum, row) => sum + Math.max(0, Number(row.total)), 0)));
  const step = longest <= 2500 ? 250 : longest <= 10_000 ? 1000 : 10_000;
  const scale = Math.ceil(longest / step) * step;
  return (
    <div className="money-courses">
      <div className="money-scale" aria-hidden>
        <span />
        <span>
          {Array.from({ length: Math.min(20, scale / step) + 1 }, (_, i) => (
            <i key={i} style={{ left: `${((i * step) / scale) * 100}%` }}>
              {i === 0 ? '' : (i * step).toLocaleString('en')}
            </i>
          ))}
        </span>
      </div>
      {courses.map((course, at) => (
        <div key={course} className="money-course">
          <p>
            <b className="serif">{course}</b>
            <span>
              {sums
                .filter((sum) => states[sum.state].course === course)
                .map((sum) => sum.sum)
                .join(' + ') || '–'}
            </span>
            <small>{by[at]?.length ?? 0}</small>
          </p>
          <div>
            {(by[at] ?? []).map((row) => (
              <button
                key={row.id}
                type="button"
                className={`stone ${row.state} ${row.id === chosen ? 'chosen' : ''}`}
                style={{ width: `${Math.max(0.8, (Number(row.total) / scale) * 100)}%` }}
                aria-label={`${row.number}, ${row.client.label}, ${money(row.total)}, ${states[row.state].word}`}
                aria-pressed={row.id === chosen}
                onClick={() => onChoose(row.id)}
              >
                <span aria-hidden>{row.client.label}</span>
                {(row.state === 'sent' || row.state === 'opened') &&
                  row.chance.from !== null &&
                  row.chance.upTo !== null && (
                    <i aria-hidden className={row.chance.guess ? 'likely guess' : 'likely'}>
                      <i style={{ width: `${row.chance.from}%` }} />
                      <i style={{ width: `${row.chance.upTo - row.chance.from}%` }} />
                    </i>
                  )}
              </button>
            ))}
          </div>
        </div>
      ))}
    </div>
  );
}
