import type { Content, Line, PriceList } from './queries';

interface Props {
  content: Content;
  at: number;
  line: Line;
  prices: PriceList | undefined;
  /** What the price list asks for so many, where that is another price. */
  listed: string | undefined;
  hint: string | undefined;
  onSet: (next: Partial<Line>) => void;
  onRemove: () => void;
}

/** What is seldom changed of a line: shown while somebody is in it. */
export function LineMore({ content: { lines }, at, line, prices, listed, hint, onSet, onRemove }: Props) {
  const n = at + 1;
  const units = prices?.units ?? [{ code: line.unit || 'C62', one: line.unit || 'piece', several: '' }];
  const categories = prices?.categories ?? [{ code: line.vat.category, words: line.vat.category }];
  const isHead = lines.some((one) => one.instead === line.key);
  const words = (label: string, field: 'text' | 'group', most: number, placeholder: string) => (
    <input
      className="value"
      aria-label={`${label}, line ${n}`}
      placeholder={placeholder}
      maxLength={most}
      value={line[field] ?? ''}
      onChange={(event) => onSet({ [field]: event.target.value })}
    />
  );
  return (
    <tr className="line-more">
      <td />
      <td colSpan={6}>
        <p>
          {words('More about it', 'text', 2000, 'more about it, for the client')}{' '}
          {words('Stands under', 'group', 100, 'stands under')}
        </p>
        <select
          aria-label={`Unit, line ${n}`}
          value={line.unit || 'C62'}
          onChange={(event) => onSet({ unit: event.target.value })}
        >
          {units.map((unit) => (
            <option key={unit.code} value={unit.code}>
              {unit.one}
            </option>
          ))}
        </select>
        <select
          aria-label={`VAT, line ${n}`}
          value={line.vat.category}
          onChange={(event) => onSet({ vat: { ...line.vat, category: event.target.value } })}
        >
          {categories.map((one) => (
            <option key={one.code} value={one.code}>
              {one.words}
            </option>
          ))}
        </select>
        <label className="inline-check">
          less{' '}
          <input
            className="value figures"
            inputMode="decimal"
            size={6}
            aria-label={`Amount off, line ${n}`}
            value={line.offAmount ?? ''}
            onChange={(event) => onSet({ offAmount: event.target.value.trim() || null })}
          />
        </label>{' '}
        <label className="inline-check">
          <input
            type="checkbox"
            checked={line.optional ?? false}
            onChange={(event) => onSet({ optional: event.target.checked })}
          />{' '}
          may be left out
        </label>
        <select
          aria-label={`Stands for, line ${n}`}
          value={line.instead ?? ''}
          onChange={(event) => onSet({ instead: event.target.value })}
        >
          <option value="">stands for itself</option>
          {lines.map((other, i) =>
            other.key === line.key || other.instead || isHead ? null : (
              <option key={other.key} value={other.key}>
                in place of line {i + 1}
              </option>
            ),
          )}
        </select>
        {listed && (
          <button type="button" className="link-button" onClick={() => onSet({ price: listed })}>
            For so many it is {listed} each: take that
          </button>
        )}
        <button type="button" className="link-button" onClick={onRemove}>
          Remove<span className="unseen"> line {n}</span>
        </button>
        {hint && (
          <span className="staff-field-error" role="alert">
            {hint}
          </span>
        )}
      </td>
    </tr>
  );
}
