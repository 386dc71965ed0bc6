import { createPortal } from 'react-dom';
import type { Offering } from './extensions';

/** The fields that a few letters offer, under the place where they are typed. */
export function Offered({ offering, values }: { offering: Offering | null; values: Record<string, string> }) {
  if (offering === null) return null;
  const { place } = offering;
  return createPortal(
    <ul
      className="offered-fields"
      role="listbox"
      aria-label="Fields"
      style={place ? { left: Math.min(place.left, window.innerWidth - 300), top: place.bottom + 4 } : undefined}
    >
      {offering.fields.slice(0, 9).map((field, i) => (
        <li
          key={field.name}
          role="option"
          aria-selected={i === offering.at}
          onMouseDown={(event) => {
            event.preventDefault();
            offering.take(field);
          }}
        >
          <span>{field.label}</span>
          <span className="second">{(values[field.name] ?? field.example).split('\n')[0]}</span>
        </li>
      ))}
    </ul>,
    document.body,
  );
}
