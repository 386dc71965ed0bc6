import type { Content } from './queries';
import { money } from './states';

interface Props {
  content: Content;
  /** What each comes to, decimals as text. */
  sums: string[];
  onChange: (content: Content) => void;
  wrong: (path: string) => string | undefined;
}

/** How it is paid: shares that are all of it together, by a day or by what happens. The server says whether they are. */
export function Payments({ content, sums, onChange, wrong }: Props) {
  const parts = content.instalments ?? [];
  const set = (next: typeof parts) => onChange({ ...content, instalments: next });
  const change = (i: number, next: Partial<(typeof parts)[number]>) =>
    set(parts.map((one, at) => (at === i ? { ...one, ...next } : one)));
  const error = wrong('instalments');
  return (
    <section className="quote-payments">
      <h3>How it is paid</h3>
      <div className="pay-strip" aria-hidden>
        {parts.map((part, i) => (
          <i key={i} style={{ width: `${Math.min(100, Number(part.percent) || 0)}%` }} />
        ))}
      </div>
      <ul>
        {parts.map((part, i) => (
          <li key={i}>
            <>
              <input
                className="value figures"
                aria-label={`Share in percent, payment ${i + 1}`}
                aria-invalid={error !== undefined}
                inputMode="decimal"
                size={4}
                value={part.percent}
                onChange={(event) => change(i, { percent: event.target.value.trim() })}
              />{' '}
              %{' '}
              <input
                className="value"
                aria-label={`When, payment ${i + 1}`}
                maxLength={100}
                placeholder="on a day, or when work begins"
                value={part.when}
                onChange={(event) => change(i, { when: event.target.value })}
              />
              <button type="button" className="link-button" onClick={() => set(parts.filter((_, at) => at !== i))}>
                Remove<span className="unseen"> payment {i + 1}</span>
              </button>
            </>
            <b className="figures">{sums[i] ? money(sums[i]) : ''}</b>
          </li>
        ))}
      </ul>
      {error && (
        <p className="staff-field-error" role="alert">
          {error}
        </p>
      )}
      <button
        type="button"
        className="link-button"
        onClick={() =>
          set(
            parts.length === 0
              ? [
                  { percent: '50', when: '' },
                  { percent: '50', when: '' },
                ]
              : [...parts, { percent: '', when: '' }],
          )
        }
      >
        {parts.length === 0 ? 'Pay in parts' : 'Another part'}
      </button>
    </section>
  );
}
