import { useState } from 'react';
import { ProblemError, type Schema } from '../../shared/api';
import { useToast } from '../shell/Toast';
import { useSendAgain } from './queries';

/** Where a letter did not arrive: another address, which takes the place of the refused one on file too. */
export function OtherAddress({ message }: { message: Schema<'Message'> }) {
  const [to, setTo] = useState(message.to);
  const again = useSendAgain();
  const toast = useToast();
  const fault =
    again.error instanceof ProblemError
      ? (again.error.violations[0]?.message ?? again.error.message)
      : again.error?.message;
  return (
    <form
      className="other-address"
      onSubmit={(event) => {
        event.preventDefault();
        if (!again.isPending && to.trim() !== '')
          again.mutate(
            { id: message.id, ...(to.trim() === message.to ? {} : { to: to.trim() }) },
            { onSuccess: () => toast({ words: `On its way to ${to.trim()}` }) },
          );
      }}
    >
      <label className="field-label" htmlFor={`other-${message.id}`}>
        Send it to
      </label>
      <input
        id={`other-${message.id}`}
        type="email"
        value={to}
        onChange={(event) => setTo(event.target.value)}
        aria-invalid={fault !== undefined}
        aria-describedby={fault ? `other-fault-${message.id}` : undefined}
      />
      {fault && (
        <p className="fault" id={`other-fault-${message.id}`} role="alert">
          {fault}
        </p>
      )}
      <p className="second">Enter sends it. Another address takes the place of this one with the client too.</p>
    </form>
  );
}
