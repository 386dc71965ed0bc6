import type { Content } from './queries';
import { money } from './states';

type Kind = 'allowances' | 'charges';

interface Props {
  kind: Kind;
  content: Content;
  sums: string[];
  onChange: (content: Content) => void;
  wrong: (path: string) => string | undefined;
}

const told = {
  allowances: { add: 'Take something off the whole', name: 'Off the whole', sign: '−' },
  charges: { add: 'Put something on the whole', name: 'On the whole', sign: '' },
};

/** What is taken off the whole, or put on it: a share or an amount, of what has one VAT. */
export function WholeRows({ kind, content, sums, onChange, wrong }: Props) {
  const rows = content[kind] ?? [];
  const vats = [...content.lines.map((line) => line.vat), ...rows.map((row) => row.vat)].filter(
    (vat, i, all) => all.findIndex((one) => one.category === vat.category && one.rate === vat.rate) === i,
  );
  const set = (next: typeof rows) => onChange({ ...content, [kind]: next });
  const change = (i: number, next: Partial<(typeof rows)[number]>) =>
    set(rows.map((row, at) => (at === i ? { ...row, ...next } : row)));
  return (
    <>
      {rows.map((row, i) => {
        const error = wrong(`${kind}.${i}`);
        return (
          <div key={i} className="whole-row">
            <dt>
              <>
                <input
                  className="value"
                  aria-label={`${told[kind].name}, ${i + 1}: what for`}
                  placeholder={`${told[kind].name.toLowerCase()}: what for`}
                  maxLength={100}
                  value={row.name}
                  onChange={(event) => change(i, { name: event.target.value })}
                />{' '}
                <input
                  className="value figures"
                  inputMode="decimal"
                  aria-label={`${told[kind].name}, ${i + 1}: percent`}
                  aria-invalid={error !== undefined}
                  size={4}
                  value={row.percent ?? ''}
                  onChange={(event) => change(i, { percent: event.target.value.trim() || null })}
                />{' '}
                % or{' '}
                <input
                  className="value figures"
                  inputMode="decimal"
                  aria-label={`${told[kind].name}, ${i + 1}: amount`}
                  aria-invalid={error !== undefined}
                  size={6}
                  value={row.amount ?? ''}
                  onChange={(event) => change(i, { amount: event.target.value.trim() || null })}
                />
                {vats.length > 1 && (
                  <select
                    aria-label={`${told[kind].name}, ${i + 1}: of what VAT`}
                    value={`${row.vat.category} ${row.vat.rate}`}
                    onChange={(event) => {
                      const vat = vats.find((one) => `${one.category} ${one.rate}` === event.target.value);
                      if (vat) change(i, { vat });
                    }}
                  >
                    {vats.map((vat) => (
                      <option key={`${vat.category} ${vat.rate}`} value={`${vat.category} ${vat.rate}`}>
                        {vat.category} {vat.rate} %
                      </option>
                    ))}
                  </select>
                )}{' '}
                <button type="button" className="link-button" onClick={() => set(rows.filter((_, at) => at !== i))}>
                  Remove
                  <span className="unseen">
                    {' '}
                    {told[kind].name}, {i + 1}
                  </span>
                </button>
              </>
              {error && (
                <p className="staff-field-error" role="alert">
                  {error}
                </p>
              )}
            </dt>
            <dd>{sums[i] ? `${told[kind].sign}${money(sums[i])}` : ''}</dd>
          </div>
        );
      })}
      <div className="add">
        <dt>
          <button
            type="button"
            className="link-button"
            onClick={() =>
              set([...rows, { name: '', percent: '0', amount: null, vat: vats[0] ?? { category: 'S', rate: '23' } }])
            }
          >
            {told[kind].add}
          </button>
        </dt>
        <dd />
      </div>
    </>
  );
}
