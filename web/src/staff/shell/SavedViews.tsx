import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import './saved-views.css';
import { StaffField } from './StaffField';

interface View {
  id: string;
  name: string;
}

interface Props<V extends View> {
  views: V[];
  onUse: (view: V) => void;
  onRemove: (id: string) => void;
  /** Saves what is looked at under a name. */
  save: { mutate: (name: string, then: { onSuccess: () => void }) => void; error: Error | null };
}

/** Ways of looking that are saved under names for everybody: used, added, removed. */
export function SavedViews<V extends View>({ views, onUse, onRemove, save }: Props<V>) {
  const [name, setName] = useState<string | null>(null);
  const fault =
    save.error instanceof ProblemError
      ? (save.error.violations[0]?.message ?? save.error.message)
      : save.error?.message;
  return (
    <>
      <div className="section-head">
        <h2>Saved views</h2>
        {name === null && (
          <button type="button" className="link-button" onClick={() => setName('')}>
            Save this view
          </button>
        )}
      </div>
      <ul className="column-list kept-views">
        {views.map((view) => (
          <li key={view.id}>
            <button type="button" className="link-button" onClick={() => onUse(view)}>
              {view.name}
            </button>
            <button
              type="button"
              className="link-button second"
              aria-label={`Remove the view ${view.name}`}
              onClick={() => onRemove(view.id)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      {name !== null && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate(name, { onSuccess: () => setName(null) });
          }}
        >
          <StaffField
            label="Name of this view; Enter saves it"
            autoFocus
            value={name}
            maxLength={80}
            error={fault}
            onChange={(event) => setName(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') setName(null);
            }}
          />
        </form>
      )}
    </>
  );
}
