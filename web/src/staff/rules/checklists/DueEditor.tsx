import { Choice } from './Choice';
import { anchors, type Row } from './checklist';
import type { Item } from './queries';

interface Props {
  row: Row;
  rows: Row[];
  onChange: (part: Partial<Item>) => void;
}

type Due = NonNullable<Item['due']>;

/** By when an item is due: of its own, or as it follows from what it waits for. */
export function DueEditor({ row, rows, onChange }: Props) {
  const due = row.item.due;
  const set = (part: Partial<Due>) => due && onChange({ due: { ...due, ...part } });
  const others = rows.filter((one) => one.full !== row.full);
  return (
    <>
      <select
        aria-label="Due"
        value={due?.from ?? ''}
        onChange={(event) => {
          const from = event.target.value as Due['from'] | '';
          const first = others[0];
          onChange({
            due:
              from === ''
                ? null
                : {
                    from,
                    amount: due?.amount ?? 0,
                    unit: due?.unit ?? 'days',
                    item: from === 'item' && first ? (first.own ? first.item.key : first.full) : '',
                  },
          });
        }}
      >
        <option value="">as it follows from what it waits for</option>
        {Object.entries(anchors).map(([value, label]) => (
          <option key={value} value={value}>
            counted from when {label}
          </option>
        ))}
      </select>
      {due && (
        <>
          {due.from === 'item' && (
            <Choice
              label="Which item"
              value={due.item ?? ''}
              options={others.map((one) => ({
                value: one.own ? one.item.key : one.full,
                label: `${one.number} ${one.item.name}`,
              }))}
              onChange={(item) => set({ item })}
            />
          )}{' '}
          <input
            type="number"
            min={0}
            max={2000}
            aria-label="How many"
            value={Math.abs(due.amount)}
            onChange={(event) => {
              const amount = Math.abs(Math.trunc(Number(event.target.value)) || 0);
              set({ amount: due.amount < 0 ? -amount : amount });
            }}
          />{' '}
          <select
            aria-label="Counted in"
            value={due.unit}
            onChange={(event) => set({ unit: event.target.value as NonNullable<Due['unit']> })}
          >
            <option value="days">working days</option>
            <option value="calendar">calendar days</option>
            {(due.from === 'accepted' || due.from === 'appointment') && <option value="hours">hours</option>}
          </select>{' '}
          <select
            aria-label="Before or after"
            value={due.amount < 0 ? 'before' : 'after'}
            onChange={(event) =>
              set({ amount: event.target.value === 'before' ? -Math.abs(due.amount || 1) : Math.abs(due.amount) })
            }
          >
            <option value="before">before</option>
            <option value="after">after</option>
          </select>
        </>
      )}
    </>
  );
}
