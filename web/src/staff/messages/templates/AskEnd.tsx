interface Props {
  fault: string;
  busy?: boolean;
  onDone: () => void;
}

/** How what the text tools ask for ends: put in or not, and what is wrong. */
export function AskEnd({ fault, busy = false, onDone }: Props) {
  return (
    <>
      <button type="submit" disabled={busy}>
        Put in
      </button>
      <button type="button" onClick={onDone}>
        Cancel
      </button>
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
    </>
  );
}
