import './saved-views.css';

interface Props {
  /** Those that may be left out. */
  columns: { key: string; label: string }[];
  hidden: string[];
  onHide: (hidden: string[]) => void;
}

/** Which columns of a list are shown. */
export function ColumnList({ columns, hidden, onHide }: Props) {
  return (
    <ul className="column-list">
      {columns.map(({ key, label }) => (
        <li key={key}>
          <label>
            <input
              type="checkbox"
              checked={!hidden.includes(key)}
              onChange={(event) =>
                onHide(event.target.checked ? hidden.filter((one) => one !== key) : [...hidden, key])
              }
            />{' '}
            {label}
          </label>
        </li>
      ))}
    </ul>
  );
}
