import Button from '@mui/material/Button';
import { useState } from 'react';

interface Props {
  message: string;
  /** Whether whoever looks may go on with a reason. */
  mayGoOn: boolean;
  busy: boolean;
  onGoOn: (reason: string) => void;
  onCancel: () => void;
}

/** What a stage needs and the project does not have; an owner goes on with a reason. */
export function NotReached({ message, mayGoOn, busy, onGoOn, onCancel }: Props) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="not-reached"
      role="alert"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') onGoOn(reason.trim());
      }}
    >
      <b>{message}</b>
      <p>
        {mayGoOn && (
          <>
            <input
              autoFocus
              aria-label="Why it goes on all the same"
              placeholder="because"
              maxLength={200}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />{' '}
            <Button type="submit" size="small" variant="outlined" disabled={busy || reason.trim() === ''}>
              Go on
            </Button>{' '}
          </>
        )}
        <Button size="small" variant="outlined" onClick={onCancel}>
          {mayGoOn ? 'Cancel' : 'Close'}
        </Button>
      </p>
    </form>
  );
}
