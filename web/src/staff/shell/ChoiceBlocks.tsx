import ButtonBase from '@mui/material/ButtonBase';
import './choice.css';

interface Props {
  label: string;
  options: { value: string; hotkey?: string; label: string }[];
  chosen: string | null;
  open?: boolean;
  onChoose: (value: string) => void;
}

/** Adjoining blocks, one of which is chosen; each shows the key that chooses it. */
export function ChoiceBlocks({ label, options, chosen, open = false, onChoose }: Props) {
  return (
    <div className={open ? 'choice open' : 'choice'} role="group" aria-label={label}>
      {options.map((option) => (
        <ButtonBase key={option.value} aria-pressed={option.value === chosen} onClick={() => onChoose(option.value)}>
          <span className={option.hotkey ? 'key-square' : 'key-square none'} aria-hidden="true">
            {option.hotkey}
          </span>
          <span>{option.label}</span>
        </ButtonBase>
      ))}
    </div>
  );
}
