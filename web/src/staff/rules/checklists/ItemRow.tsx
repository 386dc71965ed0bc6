import type { Lists } from './queries';
import { doneBys, takesWords, waitsOf, whoWords, type Row } from './checklist';

interface Props {
  row: Row;
  rows: Row[];
  offers: Lists['offers'];
  open: boolean;
  onOpen: () => void;
}

/** One item in its list: number, name, who, how long, after what. */
export function ItemRow({ row, rows, offers, open, onOpen }: Props) {
  const { item } = row;
  const cells = (
    <>
      <span className="item-number figures">{row.number}</span>
      <span className="item-name">
        {item.name || <span className="second">not named yet</span>}
        {item.doneBy && <em> {doneBys[item.doneBy]}</em>}
        {item.if && <em> on a condition</em>}
      </span>
      <span>{whoWords(item, offers)}</span>
      <span className="figures">{takesWords(item.takes)}</span>
      <span className="figures">
        {waitsOf(row, rows)
          .map((one) => one.number)
          .sort((a, b) => a - b)
          .join(', ')}
      </span>
    </>
  );
  return row.own ? (
    <button type="button" className="item-row own" aria-expanded={open} onClick={onOpen}>
      {cells}
    </button>
  ) : (
    <div className="item-row">{cells}</div>
  );
}
