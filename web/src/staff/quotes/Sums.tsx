import type { ReactNode } from 'react';
import type { Schema } from '../../shared/api';
import type { Content } from './queries';
import { Payments } from './Payments';
import { money } from './states';
import { WholeRows } from './WholeRows';

interface Props {
  content: Content;
  totals: Schema<'QuoteTotals'>;
  gross: boolean;
  /** Whether the sums are those of a moment ago. */
  old: boolean;
  onChange: ((content: Content) => void) | undefined;
  violations: { path: string; message: string }[];
}

/** What it comes to, what is taken off the whole, how it is paid, and the words around it. */
export function Sums({ content, totals, gross, old, onChange, violations }: Props) {
  const wrong = (path: string) =>
    violations.find((one) => one.path.replace(/^content\./, '').startsWith(path))?.message;
  const figure = (label: string, value: string, write: (text: string) => void) => (
    <input
      className="value figures"
      inputMode="decimal"
      aria-label={label}
      size={5}
      value={value}
      onChange={(event) => write(event.target.value.trim())}
    />
  );
  return (
    <div className="quote-sums">
      <div className="pillar-head">
        <h2>What it comes to</h2>
        <small>prices {gross ? 'with' : 'without'} VAT</small>
      </div>
      <dl className={old ? 'old' : undefined}>
        {onChange && (
          <>
            <WholeRows kind="allowances" content={content} sums={totals.allowances} onChange={onChange} wrong={wrong} />
            <WholeRows kind="charges" content={content} sums={totals.charges} onChange={onChange} wrong={wrong} />
          </>
        )}
        {/* The block that the client's page and the paper show; what is off the whole or on it stands above, to be changed. */}
        {totals.sums.slice(onChange ? totals.allowances.length + totals.charges.length : 0).map((one, i) => (
          <Row key={`${i}${one.label}`} label={one.label} value={one.value} total={one.total} />
        ))}
        {onChange && (
          <Row
            label={
              <>
                Deposit{' '}
                <>
                  {figure('Deposit in percent', content.deposit?.percent ?? '', (percent) =>
                    onChange({ ...content, deposit: { amount: null, ...content.deposit, percent: percent || null } }),
                  )}{' '}
                  % or{' '}
                  {figure('Deposit as an amount', content.deposit?.amount ?? '', (amount) =>
                    onChange({ ...content, deposit: { percent: null, ...content.deposit, amount: amount || null } }),
                  )}
                </>
                <Beside words={wrong('deposit')} />
              </>
            }
            value={money(totals.deposit)}
          />
        )}
      </dl>
      {onChange && <Payments content={content} sums={totals.instalments} onChange={onChange} wrong={wrong} />}
      {totals.payments.length > 0 && (
        <section className="quote-payments">
          <h3>What is asked for</h3>
          <dl className={old ? 'old' : undefined}>
            {totals.payments.map((one, i) => (
              <Row key={`${i}${one.label}`} label={one.label} value={one.value} />
            ))}
          </dl>
        </section>
      )}
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
            <Beside words={wrong(field)} />
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

function Beside({ words }: { words: string | undefined }) {
  if (!words) return null;
  return (
    <span className="staff-field-error" role="alert">
      {words}
    </span>
  );
}
