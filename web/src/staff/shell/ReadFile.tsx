import Button from '@mui/material/Button';
import { useRef } from 'react';

interface Props {
  label: string;
  /** Kinds of file, as an input takes them. */
  accept: string;
  onText: (text: string) => void;
  /** As words among others rather than a button. */
  plain?: boolean;
}

/** Chooses a file on this computer and reads its text. The button is what has the focus: by keyboard it opens, too. */
export function ReadFile({ label, accept, onText, plain = false }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const choose = () => input.current?.click();
  return (
    <>
      {plain ? (
        <button type="button" className="link-button" onClick={choose}>
          {label}
        </button>
      ) : (
        <Button size="small" variant="outlined" onClick={choose}>
          {label}
        </Button>
      )}
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          // The same file chosen again is another choice.
          event.target.value = '';
          if (file) void file.text().then(onText);
        }}
      />
    </>
  );
}
