import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useIntake, type Setup } from './queries';

export function IntakeSetup({ setup }: { setup: Setup }) {
  const [minutes, setMinutes] = useState(String(setup.unfinishedMinutes));
  const [shortens, setShortens] = useState(setup.shortensAddresses);
  const save = useIntake();
  const toast = useToast();
  const fault =
    save.error instanceof ProblemError ? (save.error.violations[0]?.message ?? save.error.message) : undefined;
  return (
    <form
      className="setup-form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(
          { shortensAddresses: shortens, unfinishedMinutes: Number(minutes) },
          { onSuccess: () => toast({ words: 'Kept how submissions are taken.' }) },
        );
      }}
    >
      <h2 className="group-label">Taking submissions</h2>
      <StaffField
        label="“Did not finish” after so many minutes"
        type="number"
        min={1}
        max={10080}
        value={minutes}
        error={fault}
        onChange={(event) => setMinutes(event.target.value)}
      />
      <p className="second">
        Where a short form leads on to a long one and the long one has not come by then, the arrival says so.
      </p>
      <p>
        <label>
          <input type="checkbox" checked={shortens} onChange={(event) => setShortens(event.target.checked)} /> keep
          network addresses without their last part
        </label>
      </p>
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={save.isPending}>
          Keep these
        </Button>
      </p>
    </form>
  );
}
