import { useRef } from 'react';
import { useKey } from '../keys';
import type { Setup } from './queries';
import { sections } from './sections';

interface Props {
  setup: Setup | undefined;
  /** How often what is looked for stands in each section. */
  hits: Record<string, number>;
  wanted: string;
  onWant: (wanted: string) => void;
  onGo: (section: string) => void;
}

/** The sections by number, with what each holds now. Looking for something filters nothing away: hits are counted. */
export function SetupIndex({ setup, hits, wanted, onWant, onGo }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const all = Object.values(hits).reduce((sum, count) => sum + count, 0);
  useKey('list', () => field.current?.focus());
  return (
    <>
      <h1 className="unseen">Setup</h1>
      <div className="setup-find">
        <input
          ref={field}
          type="search"
          aria-label="Find a setting"
          placeholder="Find a setting"
          value={wanted}
          onChange={(event) => onWant(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') onWant('');
            if (event.key === 'Enter') {
              const first = sections.find(({ key }) => hits[key]);
              if (first) onGo(first.key);
            }
          }}
        />
        <kbd aria-hidden="true">L</kbd>
      </div>
      {wanted.trim() && (
        <p className="second" role="status">
          {all === 0 ? 'Nowhere.' : `${all} in ${Object.keys(hits).length} sections; Esc shows all again`}
        </p>
      )}
      <ol className="setup-index">
        {sections.map(({ key, title, holds }, i) => (
          <li key={key}>
            <button type="button" onClick={() => onGo(key)}>
              <span className="margin-number" aria-hidden="true">
                {i + 1}
              </span>
              <span>
                <b>{title}</b>
                <span className="second">{setup ? holds(setup) : ' '}</span>
              </span>
              {hits[key] ? (
                <b className="figures setup-hits">
                  {hits[key]}
                  <span className="unseen"> found</span>
                </b>
              ) : null}
            </button>
          </li>
        ))}
      </ol>
    </>
  );
}
