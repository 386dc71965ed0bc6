interface Props {
  label: string;
  value: string;
  options: { value: string; label: string }[];
  onChange: (value: string) => void;
}

/** One of several, inside a sentence. */
export function Choice({ label, value, options, onChange }: Props) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {options.map((one) => (
        <option key={one.value} value={one.value}>
          {one.label}
        </option>
      ))}
    </select>
  );
}

/** Words by their values, as choices. */
export const choices = (words: Record<string, string>) =>
  Object.entries(words).map(([value, label]) => ({ value, label }));
