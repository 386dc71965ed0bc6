import OutlinedInput from '@mui/material/OutlinedInput';
import type { InputHTMLAttributes } from 'react';
import type { UseFormRegister } from 'react-hook-form';
import { MarkShape } from '../shared/Mark';
import { FilesField } from './FilesField';
import type { Answers, Question } from './queries';
import type { KeptFile } from './uploads';

interface Props {
  question: Question;
  register: UseFormRegister<Answers>;
  error: string | null;
  files: KeptFile[];
  onFiles: (files: KeptFile[]) => void;
  onGoing: (is: boolean) => void;
}

/** What a browser can fill in by itself, and which keyboard a phone shows. */
const help: Partial<Record<Question['type'], InputHTMLAttributes<HTMLInputElement>>> = {
  'person-name': { autoComplete: 'name' },
  email: { type: 'email', autoComplete: 'email', inputMode: 'email', autoCapitalize: 'none' },
  phone: { type: 'tel', autoComplete: 'tel', inputMode: 'tel' },
  address: { autoComplete: 'street-address' },
};

/** One question: its number in the margin, its wording, the field, and what is wrong with the answer. */
export function QuestionField({ question, register, error, files, onFiles, onGoing }: Props) {
  const id = `q-${question.key}`;
  const described =
    [question.hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ') || undefined;
  const aria = { 'aria-invalid': error !== null, 'aria-describedby': described, 'aria-required': question.required };
  const grouped = question.type === 'one-of' || question.type === 'files';
  const label = (
    <>
      {question.wording}
      {question.required && <span className="unseen"> (needed)</span>}
    </>
  );
  const hint = question.hint && (
    <span id={`${id}-hint`} className="question-hint">
      {question.hint}
    </span>
  );
  return (
    <div className={error ? 'question wrong' : 'question'}>
      <span className="question-number serif" aria-hidden="true">
        {question.number}
      </span>
      {grouped ? (
        <fieldset
          id={id}
          tabIndex={-1}
          {...(question.type === 'files' ? { 'aria-describedby': described } : aria)}
          role={question.type === 'one-of' ? 'radiogroup' : undefined}
        >
          <legend className="question-label">
            {label} {hint}
          </legend>
          {question.type === 'one-of' ? (
            <div className="options">
              {question.options.map((option) => (
                <label key={option.value} className="option">
                  <input type="radio" value={option.value} {...register(question.key)} />
                  <span>{option.label}</span>
                </label>
              ))}
            </div>
          ) : (
            <FilesField question={question} files={files} onFiles={onFiles} onGoing={onGoing} />
          )}
        </fieldset>
      ) : (
        <div>
          <div className="question-label">
            <label htmlFor={id}>{label}</label> {hint}
          </div>
          <OutlinedInput
            id={id}
            fullWidth
            multiline={question.type === 'long-text'}
            minRows={question.type === 'long-text' ? 3 : undefined}
            error={error !== null}
            placeholder={question.example ? `for example ${question.example}` : undefined}
            inputProps={{ ...help[question.type], ...aria, ...register(question.key) }}
          />
        </div>
      )}
      {error && (
        <p id={`${id}-error`} className="question-error">
          <MarkShape kind="choose" /> {error}
        </p>
      )}
    </div>
  );
}
