import OutlinedInput from '@mui/material/OutlinedInput';
import type { UseFormRegister } from 'react-hook-form';
import type { Part } from './kinds/inParts';
import type { Answers, Question } from './types';

/** An answer in parts, each with its own field; the browser can fill in what it knows. */
export function PartsField({
  question,
  parts,
  register,
  wrong,
}: {
  question: Question;
  parts: Part[];
  register: UseFormRegister<Answers>;
  wrong: boolean;
}) {
  return (
    <div className="parts">
      {parts.map((part) => (
        <label key={part.name} className={part.wide ? 'part wide' : 'part'}>
          <span className="second">{part.label}</span>
          <OutlinedInput
            fullWidth
            error={wrong}
            inputProps={{
              ...part.input,
              maxLength: question.maxLength,
              'aria-invalid': wrong,
              ...register(`${question.key}.${part.name}`),
            }}
          />
        </label>
      ))}
    </div>
  );
}
