import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { count } from '../../shared/numbers';
import { shortDay } from '../../shared/words';
import { useToday } from '../shell/day';
import { useToast } from '../shell/Toast';
import { useAddChecklist, useChecklistsFor, useChecklistPreview } from './queries';
import { firstName } from '../../shared/firstName';

/** A checklist that joins a project under way: what it would add stands there before it does. */
export function AddChecklist({ project, onDone }: { project: Schema<'Project'>; onDone: () => void }) {
  const offered = useChecklistsFor(project.id);
  const [chosen, setChosen] = useState('');
  const preview = useChecklistPreview(project.id, chosen);
  const add = useAddChecklist(project.id);
  const toast = useToast();
  const today = useToday();
  const told = preview.data;
  const nothing = told && told.added.length + told.removed.length + told.moved.length + told.turned.length === 0;
  return (
    <div className="add-checklist">
      {/* Not before there is something to choose: a name typed into an empty list chooses nothing. */}
      {offered.isPending && <p role="status">Looking for checklists…</p>}
      {offered.data && (
        <label>
          Add the checklist{' '}
          <select autoFocus value={chosen} onChange={(event) => setChosen(event.target.value)}>
            <option value="">choose one</option>
            {offered.data.map((one) => (
              <option key={one.value} value={one.value}>
                {one.label}
              </option>
            ))}
          </select>
        </label>
      )}
      {(offered.error ?? preview.error ?? add.error) && (
        <p className="staff-field-error" role="alert">
          {(offered.error ?? preview.error ?? add.error)?.message}
        </p>
      )}
      {chosen !== '' && told && (
        <div className="second" aria-live="polite">
          {nothing && <p>The project has all of it already.</p>}
          <ul>
            {told.added.map((one) => (
              <li key={one.name}>
                adds <b>{one.name}</b>, {firstName(one.assignee)}, {shortDay(one.due, today)}
              </li>
            ))}
            {told.removed.map((name) => (
              <li key={name}>
                removes <s>{name}</s>
              </li>
            ))}
            {told.moved.map((one) => (
              <li key={one.name}>
                moves {one.name}: <s>{shortDay(one.was, today)}</s> {shortDay(one.due, today)}
              </li>
            ))}
            {told.turned.map((one) => (
              <li key={one.name}>
                {one.number === one.was ? 'keeps' : 'turns'} {one.name}
                {one.number !== one.was && (
                  <>
                    {' '}
                    from <s className="figures">{one.was}</s> into <span className="figures">{one.number}</span>
                  </>
                )}
                , {one.waitsFor.length === 0 ? 'waits for nothing' : `waits for ${one.waitsFor.join(', ')}`}
              </li>
            ))}
          </ul>
          {told.late && <p>{told.late}</p>}
        </div>
      )}
      <p>
        <Button
          size="small"
          variant="outlined"
          disabled={chosen === '' || !told || nothing || add.isPending}
          onClick={() =>
            add.mutate(chosen, {
              onSuccess: (done) => {
                toast({ words: `${count(done.added.length, 'task')} added. U takes it back.` });
                onDone();
              },
            })
          }
        >
          {add.isPending ? 'Adding…' : 'Add'}
        </Button>{' '}
        <Button size="small" variant="outlined" onClick={onDone}>
          Cancel
        </Button>
      </p>
    </div>
  );
}
