import { Trouble } from '../../shared/Notice';

interface Props {
  violations: { path: string; message: string }[];
  busy: boolean;
  onAnyway: () => void;
}

/** Where something that others name would go out of use or get another address: what they are, and whether to go on. */
export function NamedElsewhere({ violations, busy, onAnyway }: Props) {
  const named = violations.find(
    ({ path, message }) => ['live', 'slug'].includes(path) && message.startsWith('It is named in'),
  );
  if (!named) return null;
  return (
    <Trouble title="Others name it">
      {named.message}{' '}
      <button type="button" className="link-button" disabled={busy} onClick={onAnyway}>
        Do it anyway
      </button>
    </Trouble>
  );
}
