import { leadsTo, waitsOf, type Row } from './checklist';
import type { Item } from './queries';

interface Props {
  row: Row;
  rows: Row[];
  onChange: (part: Partial<Item>) => void;
}

/** What an item waits for. What would wait for itself in the end cannot be chosen, and says so. */
export function WaitsEditor({ row, rows, onChange }: Props) {
  const waits = waitsOf(row, rows);
  const written = (one: Row) => (one.own ? one.item.key : one.full);
  return (
    <>
      {waits.map((one) => (
        <span key={one.full} className="chip">
          <span className="figures">{one.number}</span> {one.item.name}{' '}
          <button
            type="button"
            className="link-button"
            aria-label={`not after ${one.item.name}`}
            onClick={() =>
              onChange({ waitsFor: row.item.waitsFor.filter((key) => key !== one.item.key && key !== one.full) })
            }
          >
            ×
          </button>
        </span>
      ))}
      <select
        aria-label="Waits for"
        value=""
        onChange={(event) => {
          const one = rows.find((other) => other.full === event.target.value);
          if (one) onChange({ waitsFor: [...row.item.waitsFor, written(one)] });
        }}
      >
        <option value="">{waits.length === 0 ? 'nothing; choose an item' : 'and …'}</option>
        {rows
          .filter((one) => one.full !== row.full && !waits.includes(one))
          .map((one) => {
            const circle = leadsTo(one, row, rows);
            return (
              <option key={one.full} value={one.full} disabled={circle}>
                {one.number} {one.item.name}
                {circle ? ', a circle' : ''}
              </option>
            );
          })}
      </select>
    </>
  );
}
