import { useEffect, useRef, useState } from 'react';
import { designed, type Kind } from '../definition/design';
import { kindGroups, kindsLike } from './kindWords';

interface Props {
  onTake: (kind: Kind) => void;
  onLeave: () => void;
}

/** A line for a new question: type letters of its kind, Enter takes the first, Esc takes the line out. */
export function AddLine({ onTake, onLeave }: Props) {
  const [letters, setLetters] = useState('');
  const [at, setAt] = useState(0);
  const input = useRef<HTMLInputElement>(null);
  const found = kindsLike(letters);
  useEffect(() => {
    input.current?.focus();
    input.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const chosen = found[Math.min(at, found.length - 1)];
  return (
    <li className="add-line">
      <input
        ref={input}
        role="combobox"
        aria-label="Kind of the new question"
        aria-expanded
        aria-controls="add-kinds"
        aria-activedescendant={chosen ? `add-${chosen}` : undefined}
        placeholder="kind, then its wording"
        value={letters}
        onChange={(event) => {
          setLetters(event.target.value);
          setAt(0);
        }}
        onBlur={onLeave}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
          else if (event.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
          else if (event.key === 'Escape') onLeave();
          else if (event.key === 'Enter' && chosen) onTake(chosen);
          else return;
          event.preventDefault();
          event.stopPropagation();
        }}
      />
      <ul id="add-kinds" role="listbox" aria-label="Kinds">
        {found.map((kind) => (
          <li
            key={kind}
            id={`add-${kind}`}
            role="option"
            aria-selected={kind === chosen}
            className={kind === chosen ? 'chosen' : undefined}
            ref={kind === chosen ? (row) => row?.scrollIntoView({ block: 'nearest' }) : undefined}
            onMouseDown={(event) => {
              event.preventDefault();
              onTake(kind);
            }}
          >
            {letters.trim() === '' && kindGroups.some((group) => group.kinds[0] === kind) && (
              <small className="kind-group">{kindGroups.find((group) => group.kinds[0] === kind)?.name}</small>
            )}
            {designed(kind).words}
            {kind === chosen && <kbd>Enter</kbd>}
          </li>
        ))}
        {found.length === 0 && (
          <li className="second">No kind is called like that. Clear the line to see all of them.</li>
        )}
      </ul>
    </li>
  );
}
