import OutlinedInput from '@mui/material/OutlinedInput';
import type { InputHTMLAttributes } from 'react';
import type { UseFormRegister } from 'react-hook-form';
import type { Answers, Question } from './types';

interface Part {
  name: string;
  label: string;
  input?: InputHTMLAttributes<HTMLInputElement>;
  wide?: boolean;
}

const parts: Partial<Record<Question['type'], Part[]>> = {
  'name-parts': [
    { name: 'given', label: 'Given name', input: { autoComplete: 'given-name' } },
    { name: 'family', label: 'Family name', input: { autoComplete: 'family-name' } },
  ],
  'address-parts': [
    { name: 'line', label: 'Street and number', input: { autoComplete: 'address-line1' }, wide: true },
    { name: 'locality', label: 'Town', input: { autoComplete: 'address-level2' } },
    { name: 'postalCode', label: 'Postal code', input: { autoComplete: 'postal-code' } },
    { name: 'country', label: 'Country, if another', input: { autoComplete: 'country-name' } },
  ],
  'day-time': [
    { name: 'day', label: 'Day', input: { placeholder: 'for example 12 June 2027' } },
    { name: 'time', label: 'Time', input: { inputMode: 'numeric', placeholder: '14:30' } },
  ],
  'day-span': [
    { name: 'from', label: 'First day', input: { placeholder: 'for example 12 June 2027' } },
    { name: 'to', label: 'Last day' },
  ],
};

export function comesInParts(question: Question): boolean {
  return parts[question.type] !== undefined;
}

/** An answer in parts, each with its own field; the browser can fill in what it knows. */
export function PartsField({
  question,
  register,
  wrong,
}: {
  question: Question;
  register: UseFormRegister<Answers>;
  wrong: boolean;
}) {
  return (
    <div className="parts">
      {(parts[question.type] ?? []).map((part) => (
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
