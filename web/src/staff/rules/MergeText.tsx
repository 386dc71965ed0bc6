import { useRef } from 'react';
import type { Schema } from '../../shared/api';

interface Props {
  label: string;
  value: string | undefined;
  wide?: boolean;
  merge: Schema<'Offer'>[];
  onChange: (value: string) => void;
}

/** A text that may name answers, and the list of those that it may name: what is chosen goes in where one was writing. */
export function MergeText({ label, value = '', wide = false, merge, onChange }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const put = (field: string) => {
    const from = input.current?.selectionStart ?? value.length;
    const to = input.current?.selectionEnd ?? from;
    const named = `{{${field}}}`;
    onChange(value.slice(0, from) + named + value.slice(to));
    const after = from + named.length;
    setTimeout(() => {
      input.current?.focus();
      input.current?.setSelectionRange(after, after);
    });
  };
  return (
    <span className="merge-text">
      <input
        ref={input}
        aria-label={label}
        className={wide ? 'wide' : ''}
        value={value}
        maxLength={2000}
        onChange={(event) => onChange(event.target.value)}
      />{' '}
      <select
        aria-label={`Put an answer into: ${label}`}
        className="merge-pick"
        value=""
        onChange={(event) => event.target.value && put(event.target.value)}
      >
        <option value="">put in …</option>
        {merge.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
      </select>
    </span>
  );
}
