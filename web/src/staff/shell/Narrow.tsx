import { useId } from 'react';

interface Props {
  label: string;
  value: string;
  /** What it says where nothing is chosen. */
  any: string;
  onChoose: (value: string) => void;
  children: readonly { value: string; label: string }[];
}

/** A filter of a list: one of several, or any. */
export function Narrow({ label, value, any, onChoose, children }: Props) {
  const id = useId();
  const known = value === '' || children.some((one) => one.value === value);
  return (
    <div className="staff-field">
      <label htmlFor={id}>{label}</label>
      <select id={id} value={value} onChange={(event) => onChoose(event.target.value)}>
        <option value="">{any}</option>
        {!known && <option value={value}>{value}</option>}
        {children.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
      </select>
    </div>
  );
}
