import OutlinedInput from '@mui/material/OutlinedInput';
import type { InputHTMLAttributes } from 'react';
import type { UseFormRegister } from 'react-hook-form';
import { MarkShape } from '../shared/Mark';
import { ChoiceField } from './ChoiceField';
import { FilesField } from './FilesField';
import type { Answers, Question } from './queries';
import type { KeptFile } from './uploads';

interface Props {
  question: Question;
  needed: boolean;
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
  organisation: { autoComplete: 'organization' },
  number: { inputMode: 'decimal' },
  money: { inputMode: 'decimal' },
  time: { inputMode: 'numeric' },
};

/** One question: its number in the margin, its wording, the field, and what is wrong with the answer. */
export function QuestionField({ question, needed, register, error, files, onFiles, onGoing }: Props) {
  const id = `q-${question.key}`;
  const described =
    [question.hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ') || undefined;
  const aria = { 'aria-invalid': error !== null, 'aria-describedby': described, 'aria-required': needed };
  const chosen = ['one-of', 'any-of', 'yes-no', 'scale', 'rating', 'consent'].includes(question.type);
  const grouped = chosen || question.type === 'files';
  const label = (
    <>
      {question.type === 'consent' ? 'Your consent' : question.wording}
      {needed && <span className="unseen"> (needed)</span>}
    </>
  );
  const hint = question.hint && (
    <span id={`${id}-hint`} className="question-hint">
      {question.hint}
    </span>
  );
  if (question.type === 'statement') {
    return (
      <div className="question">
        <span />
        <p className="statement">{question.wording}</p>
      </div>
    );
  }
  return (
    <div className={['question', error ? 'wrong' : '', question.half ? 'half' : ''].filter(Boolean).join(' ')}>
      <span className="question-number serif" aria-hidden="true">
        {question.number}
      </span>
      {grouped ? (
        <fieldset
          id={id}
          tabIndex={-1}
          {...(question.type === 'files' || question.type === 'any-of' || question.type === 'consent'
            ? { 'aria-describedby': described }
            : aria)}
          role={chosen && question.type !== 'any-of' && question.type !== 'consent' ? 'radiogroup' : undefined}
        >
          <legend className="question-label">
            {label} {hint}
          </legend>
          {chosen ? (
            <ChoiceField question={question} register={register} />
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
