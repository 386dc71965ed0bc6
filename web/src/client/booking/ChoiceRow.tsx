import { useId, useState } from 'react';
import { useNarrow } from './useNarrow';

export interface Option {
  value: string;
  label: string;
  beside: string;
}

/** One of the things that are chosen before the time: joined radios; on a phone one line that opens. */
export function ChoiceRow({
  number,
  question,
  options,
  chosen,
  onChoose,
}: {
  number: number;
  question: string;
  options: Option[];
  chosen: string;
  onChoose: (value: string) => void;
}) {
  const name = useId();
  const narrow = useNarrow();
  const [open, setOpen] = useState(false);
  const now = options.find((one) => one.value === chosen);
  const folded = narrow && !open && now !== undefined;
  return (
    <fieldset className="choice-row">
      <legend>
        <span className="serif margin-number" aria-hidden>
          {number}
        </span>
        <span className={folded ? 'unseen' : ''}>{question}</span>
      </legend>
      {folded ? (
        <p className="choice-folded">
          <span>
            <b>{now.label}</b>
            {now.beside && `, ${now.beside}`}
          </span>
          {options.length > 1 && (
            <button type="button" className="link" onClick={() => setOpen(true)} aria-label={`Change: ${question}`}>
              Change
            </button>
          )}
        </p>
      ) : (
        <div className="choices">
          {options.map((one) => (
            <label key={one.value} className={one.value === chosen ? 'chosen' : ''}>
              <input
                type="radio"
                name={name}
                checked={one.value === chosen}
                onChange={() => {
                  onChoose(one.value);
                  setOpen(false);
                }}
              />
              <span>{one.label}</span>
              <small>{one.beside}</small>
            </label>
          ))}
        </div>
      )}
    </fieldset>
  );
}
