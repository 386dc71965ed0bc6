import { useState } from 'react';
import { Trouble } from '../../shared/Notice';
import { partText, partWords, type Part } from './parts';
import './behind.css';

interface Props {
  version: number;
  /** What they changed. */
  parts: Part[];
  /** With the paths of those parts that are to be theirs though they were written here too. */
  onGoOn: (theirs: string[]) => void;
  onDiscard: () => void;
}

/** Somebody else saved while this was being written: neither is lost without a word, and each part is somebody's choice. */
export function Behind({ version, parts, onGoOn, onDiscard }: Props) {
  const [theirs, setTheirs] = useState<string[]>([]);
  const clashes = parts.filter((part) => part.both);
  const alone = parts.filter((part) => !part.both);
  return (
    <Trouble title="Somebody else saved it meanwhile">
      Version {version} is theirs; what you wrote is still here.
      {alone.length > 0 && (
        <> Only they changed {alone.map((part) => partWords(part.path).toLowerCase()).join(', ')}.</>
      )}
      {clashes.length > 0 && (
        <ul className="behind-parts">
          {clashes.map((part) => (
            <li key={part.path}>
              <fieldset>
                <legend>{partWords(part.path)}</legend>
                {(['mine', 'theirs'] as const).map((whose) => (
                  <label key={whose}>
                    <input
                      type="radio"
                      name={`behind ${part.path}`}
                      checked={theirs.includes(part.path) === (whose === 'theirs')}
                      onChange={() =>
                        setTheirs(
                          whose === 'theirs' ? [...theirs, part.path] : theirs.filter((path) => path !== part.path),
                        )
                      }
                    />{' '}
                    <span>
                      {whose}: <q>{partText(part[whose])}</q>
                    </span>
                  </label>
                ))}
              </fieldset>
            </li>
          ))}
        </ul>
      )}{' '}
      <button type="button" className="link-button" onClick={() => onGoOn(theirs)}>
        {theirs.length > 0 ? 'Go on with what is chosen' : 'Keep mine, to be saved after it'}
      </button>{' '}
      <button type="button" className="link-button" onClick={onDiscard}>
        Take theirs
      </button>
    </Trouble>
  );
}
