import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useMatching, type Setup } from './queries';

const fields = {
  sameFrom: 'One person from so many per cent on',
  perhapsFrom: 'Ask from so many per cent on',
  againDays: 'Offer the work that is open for so many days',
} as const;

/** When two records count as one person, and when somebody is asked. */
export function MatchingSetup({ setup }: { setup: Setup }) {
  const [values, setValues] = useState({
    sameFrom: String(setup.sameFrom),
    perhapsFrom: String(setup.perhapsFrom),
    againDays: String(setup.againDays),
  });
  const save = useMatching();
  const toast = useToast();
  const faults =
    save.error instanceof ProblemError
      ? Object.fromEntries(save.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  return (
    <form
      className="setup-form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(
          {
            sameFrom: Number(values.sameFrom),
            perhapsFrom: Number(values.perhapsFrom),
            againDays: Number(values.againDays),
          },
          { onSuccess: () => toast({ words: 'Kept how people are matched.' }) },
        );
      }}
    >
      <h2 className="group-label">Matching people</h2>
      {(Object.keys(fields) as (keyof typeof fields)[]).map((field) => (
        <StaffField
          key={field}
          label={fields[field]}
          type="number"
          value={values[field]}
          error={faults[field]}
          onChange={(event) => setValues({ ...values, [field]: event.target.value })}
        />
      ))}
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={save.isPending}>
          Keep these
        </Button>
      </p>
    </form>
  );
}
