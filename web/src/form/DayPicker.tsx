import ButtonBase from '@mui/material/ButtonBase';
import { useRef } from 'react';

/** A calendar beside the typing: the browser's own, which every phone has. */
export function DayPicker({ label, onPick }: { label: string; onPick: (iso: string) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const open = () => {
    try {
      input.current?.showPicker();
    } catch {
      // A browser without one: the day is typed.
      input.current?.focus();
    }
  };
  return (
    <span className="day-picker">
      <input
        ref={input}
        type="date"
        tabIndex={-1}
        aria-hidden="true"
        onChange={(event) => {
          if (event.target.value) onPick(event.target.value);
        }}
      />
      <ButtonBase type="button" onClick={open} aria-label={`Choose ${label} from a calendar`}>
        Calendar
      </ButtonBase>
    </span>
  );
}
