import type { ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import type { Content } from './queries';
import { money } from './states';

interface Props {
  content: Content;
  totals: Schema<'QuoteTotals'>;
  gross: boolean;
  onChange: ((content: Content) => void) | undefined;
}

/** What it comes to, what is taken off the whole, how it is paid, and the words around it. */
export function Sums({ content, totals, gross, onChange }: Props) {
  const vat = content.lines[0]?.vat ?? { category: 'S', rate: '23' };
  const allowance = content.allowances?.[0];
  const figure = (label: string, value: string, write: (text: string) => void) =>
    onChange ? (
      <input
        className="value figures"
        inputMode="decimal"
        aria-label={label}
        size={5}
        value={value}
        onChange={(event) => write(event.target.value.trim())}
      />
    ) : (
      value
    );
  return (
    <div className="quote-sums">
      <div className="pillar-head">
        <h2>What it comes to</h2>
        <small>prices {gross ? 'with' : 'without'} VAT</small>
      </div>
      <dl>
        {(onChange || allowance) && (
          <Row
            label={
              <>
                Off the whole,{' '}
                {figure('Percent off the whole', allowance?.percent ?? '', (percent) =>
                  onChange?.({
                    ...content,
                    allowances:
                      percent === ''
                        ? []
                        : [{ name: allowance?.name ?? 'Off', percent, amount: null, vat: allowance?.vat ?? vat }],
                  }),
                )}{' '}
                %
              </>
            }
            value={totals.allowances[0] ? `−${money(totals.allowances[0])}` : ''}
          />
        )}
        <Row label="Without VAT" value={money(totals.net)} />
        {totals.vat.map((one) => (
          <Row
            key={one.category + one.rate}
            label={`VAT ${Number(one.rate)} % of ${money(one.taxable)}`}
            value={money(one.tax)}
          />
        ))}
        <Row label="Total" value={totals.totalText} total />
        <Row
          label={
            <>
              Deposit,{' '}
              {figure('Deposit in percent', content.deposit?.percent ?? '', (percent) =>
                onChange?.({ ...content, deposit: { percent: percent === '' ? null : percent, amount: null } }),
              )}{' '}
              %
            </>
          }
          value={money(totals.deposit)}
        />
      </dl>
      <Payments content={content} totals={totals} onChange={onChange} />
      {(['intro', 'terms', 'reason'] as const).map((field) => {
        const label = { intro: 'Words to the client', terms: 'Terms', reason: 'Why there is no VAT, where it is so' }[
          field
        ];
        return onChange ? (
          <label key={field} className="quote-words">
            <span className="second">{label}</span>
            <textarea
              rows={field === 'reason' ? 1 : 3}
              maxLength={field === 'reason' ? 300 : 5000}
              value={content[field] ?? ''}
              data-path={field}
              onChange={(event) => onChange({ ...content, [field]: event.target.value })}
            />
          </label>
        ) : content[field] ? (
          <p key={field} className="quote-words">
            <span className="second">{label}</span>
            <br />
            {content[field]}
          </p>
        ) : null;
      })}
    </div>
  );
}

function Row({ label, value, total = false }: { label: ReactNode; value: string; total?: boolean }) {
  return (
    <div className={total ? 'total' : ''}>
      <dt>{label}</dt>
      <dd>{value}</dd>
    </div>
  );
}

/** How it is paid: shares that are all of it together, by a day or by what happens. */
function Payments({ content, totals, onChange }: Omit<Props, 'gross'>) {
  const parts = content.instalments ?? [];
  const sum = parts.reduce((all, part) => all + (Number(part.percent) || 0), 0);
  if (parts.length === 0 && !onChange) return null;
  const set = (next: typeof parts) => onChange?.({ ...content, instalments: next });
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
            {onChange ? (
              <>
                <input
                  className="value figures"
                  aria-label={`Share in percent, payment ${i + 1}`}
                  inputMode="decimal"
                  size={4}
                  value={part.percent}
                  onChange={(event) =>
                    set(parts.map((one, at) => (at === i ? { ...one, percent: event.target.value.trim() } : one)))
                  }
                />{' '}
                %{' '}
                <input
                  className="value"
                  aria-label={`When, payment ${i + 1}`}
                  maxLength={100}
                  placeholder="on a day, or when work begins"
                  value={part.when}
                  onChange={(event) =>
                    set(parts.map((one, at) => (at === i ? { ...one, when: event.target.value } : one)))
                  }
                />
                <button type="button" className="link-button" onClick={() => set(parts.filter((_, at) => at !== i))}>
                  Remove<span className="unseen"> payment {i + 1}</span>
                </button>
              </>
            ) : (
              <span>
                {Number(part.percent)} %, {part.when}
              </span>
            )}
            <b className="figures">{totals.instalments[i] ? money(totals.instalments[i]) : ''}</b>
          </li>
        ))}
      </ul>
      {parts.length > 0 && sum !== 100 && <p className="staff-field-error">Together they are {sum} %, not 100.</p>}
      {onChange && (
        <button
          type="button"
          className="link-button"
          onClick={() => set([...parts, { percent: String(Math.max(0, 100 - sum)), when: '' }])}
        >
          {parts.length === 0 ? 'Pay in parts' : 'Another part'}
        </button>
      )}
    </section>
  );
}
