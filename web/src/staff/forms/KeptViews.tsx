import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { StaffField } from '../shell/StaffField';
import { useForgetView, useKeepView, useViews, type TableFilter } from './queries';

/** Ways of looking that are kept under names for everybody: used, added, forgotten. */
export function KeptViews({
  form,
  now,
  onUse,
}: {
  form: string;
  now: TableFilter;
  onUse: (filter: TableFilter) => void;
}) {
  const views = useViews(form);
  const keep = useKeepView(form);
  const forget = useForgetView(form);
  const [name, setName] = useState<string | null>(null);
  const fault =
    keep.error instanceof ProblemError ? (keep.error.violations[0]?.message ?? keep.error.message) : undefined;
  return (
    <>
      <div className="section-head">
        <h2>Views</h2>
        {name === null && (
          <button type="button" className="link-button" onClick={() => setName('')}>
            keep this one
          </button>
        )}
      </div>
      <ul className="column-list kept-views">
        {views.data?.map((view) => (
          <li key={view.id}>
            <button type="button" className="link-button" onClick={() => onUse(view.filter)}>
              {view.name}
            </button>
            <button
              type="button"
              className="link-button second"
              aria-label={`Forget ${view.name}`}
              onClick={() => forget.mutate(view.id)}
            >
              forget
            </button>
          </li>
        ))}
      </ul>
      {name !== null && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate({ name, filter: now }, { onSuccess: () => setName(null) });
          }}
        >
          <StaffField
            label="Name of this view; Enter keeps it"
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
