import { useState, type ReactNode } from 'react';
import { MarkShape } from '../../shared/Mark';

export function Row({ label, wrong, children }: { label: string; wrong: string; children: ReactNode }) {
  return (
    <div className={wrong ? 'kind-row wrong' : 'kind-row'}>
      <span className="serif kind-word">{label}</span>
      <div>
        {children}
        {wrong && (
          <p className="staff-field-error" role="alert">
            <MarkShape kind="choose" /> {wrong}
          </p>
        )}
      </div>
    </div>
  );
}

export function Text({
  label,
  value,
  placeholder,
  onChange,
}: {
  label: string;
  value: string;
  placeholder: string;
  onChange: (value: string) => void;
}) {
  return (
    <input
      className="kind-value"
      aria-label={label}
      value={value}
      placeholder={placeholder}
      size={Math.max(4, (value || placeholder).length)}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

/** A number as it is typed: what is no number yet stays in the field. */
export function Num({
  label,
  value,
  empty,
  onChange,
}: {
  label: string;
  value: number | null;
  empty?: string;
  onChange: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? (value === null ? '' : String(value));
  return (
    <input
      className="kind-value"
      inputMode="decimal"
      aria-label={label}
      value={shown}
      placeholder={empty}
      size={Math.max(2, shown.length || (empty?.length ?? 2))}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = Number(event.target.value.replace(',', '.'));
        if (event.target.value !== '' && !Number.isNaN(number)) onChange(number);
        else if (event.target.value === '' && empty) onChange(0);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

export function Lengths({ value, onChange }: { value: number[]; onChange: (value: number[]) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? value.join(' or ');
  return (
    <input
      className="kind-value"
      aria-label="Lengths in minutes"
      value={shown}
      size={Math.max(3, shown.length)}
      onChange={(event) => {
        setTyped(event.target.value);
        const lengths = (event.target.value.match(/\d+/g) ?? []).map(Number);
        onChange(lengths);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

export function Choice({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: [string, string][];
  onChange: (value: string) => void;
}) {
  return (
    <select className="kind-value" aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {options.some(([one]) => one === value) ? null : <option value={value}>{value}</option>}
      {options.map(([one, words]) => (
        <option key={one} value={one}>
          {words}
        </option>
      ))}
    </select>
  );
}
