import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import OutlinedInput from '@mui/material/OutlinedInput';
import { useRef } from 'react';
import { useFieldArray, type Control, type UseFormRegister } from 'react-hook-form';
import { MarkShape } from '../shared/Mark';
import type { Answers, Question } from './types';

interface Props {
  question: Question;
  control: Control<Answers>;
  register: UseFormRegister<Answers>;
  /** What is wrong, by line and column: “0.make”. */
  errors: Record<string, string>;
  offered: (column: Question) => { value: string; label: string }[];
  isLong: (column: Question) => boolean;
}

/** A table of repeated lines, each with its own questions. */
export function LinesField({ question, control, register, errors, offered, isLong }: Props) {
  const { fields, append, remove } = useFieldArray({ control, name: question.key as never });
  const body = useRef<HTMLDivElement>(null);
  const add = () => {
    append({});
    setTimeout(() =>
      [...(body.current?.querySelectorAll<HTMLElement>(':scope > .line') ?? [])]
        .at(-1)
        ?.querySelector<HTMLElement>('input, select, textarea')
        ?.focus(),
    );
  };
  return (
    <div ref={body} className="lines">
      {fields.map((field, i) => (
        <fieldset key={field.id} className="line">
          <legend>
            <span className="serif">{i + 1}</span>{' '}
            <Link component="button" type="button" onClick={() => remove(i)} aria-label={`Remove line ${i + 1}`}>
              Remove
            </Link>
          </legend>
          <div className="parts">
            {question.lines.map((column) => (
              <Cell
                key={column.key}
                column={column}
                options={offered(column)}
                isLong={isLong(column)}
                name={`${question.key}.${i}.${column.key}`}
                register={register}
                error={errors[`${i}.${column.key}`]}
              />
            ))}
          </div>
        </fieldset>
      ))}
      {fields.length < question.maxLines ? (
        <Button variant="outlined" onClick={add}>
          {fields.length === 0 ? 'Add a line' : 'Add another'}
        </Button>
      ) : (
        <p className="second">That is as many as fit here.</p>
      )}
    </div>
  );
}

interface CellProps {
  column: Question;
  options: { value: string; label: string }[];
  isLong: boolean;
  name: string;
  register: UseFormRegister<Answers>;
  error: string | undefined;
}

function Cell({ column, options, isLong, name, register, error }: CellProps) {
  const id = `q-${name}`;
  const aria = {
    'aria-invalid': error !== undefined,
    'aria-required': column.required,
    'aria-describedby': error ? `${id}-error` : undefined,
  };
  return (
    <div className={isLong || column.type === 'any-of' ? 'part wide' : 'part'}>
      {column.type === 'any-of' ? (
        <fieldset id={id} tabIndex={-1}>
          <legend className="second">{column.wording}</legend>
          <div className="options">
            {options.map((option) => (
              <label key={option.value} className="option">
                <input type="checkbox" value={option.value} {...register(name)} />
                <span>{option.label}</span>
              </label>
            ))}
          </div>
        </fieldset>
      ) : (
        <label htmlFor={id}>
          <span className="second">
            {column.wording} {column.hint}
            {column.required && <span className="needed"> needed</span>}
          </span>
          {options.length > 0 ? (
            <select id={id} className="public-select" {...aria} {...register(name)}>
              <option value="">choose</option>
              {options.map((option) => (
                <option key={option.value} value={option.value}>
                  {option.label}
                </option>
              ))}
            </select>
          ) : (
            <OutlinedInput
              id={id}
              fullWidth
              multiline={isLong}
              error={error !== undefined}
              placeholder={column.example ? `for example ${column.example}` : undefined}
              inputProps={{ ...aria, ...register(name) }}
            />
          )}
        </label>
      )}
      {error && (
        <p id={`${id}-error`} className="question-error">
          <MarkShape kind="choose" /> {error}
        </p>
      )}
    </div>
  );
}
