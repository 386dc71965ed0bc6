import OutlinedInput from '@mui/material/OutlinedInput';
import type { FocusEvent } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { MarkShape } from '../shared/Mark';
import { inWords, type At } from './bounds';
import { DayPicker } from './DayPicker';
import { kinds } from './kinds';
import type { Answers, Question } from './types';
import type { Uploads } from './uploads';

interface Props {
  question: Question;
  needed: boolean;
  /** The day at the business, and how it writes days. */
  at?: At;
  fields: Pick<UseFormReturn<Answers>, 'register' | 'control' | 'setValue' | 'getValues'>;
  error: string | null;
  /** What is wrong in a table, by line and column. */
  lineErrors?: Record<string, string>;
  /** Stands beside the one before. */
  beside?: boolean;
  uploads: Uploads;
  onGoing: (is: boolean) => void;
}

/** One question: its number in the margin, its wording, the field, and what is wrong with the answer. */
export function QuestionField(props: Props) {
  const { question, needed, error, beside = false } = props;
  if (question.type === 'section')
    return (
      <div className="question section">
        <span />
        <div>
          <h2>{question.wording}</h2>
          {question.hint && <p className="second">{question.hint}</p>}
        </div>
      </div>
    );
  if (question.type === 'statement')
    return (
      <div className="question">
        <span />
        <div className="statement">
          {question.picture && <img src={question.picture} alt={question.hint} />}
          {question.wording && <p>{question.wording}</p>}
        </div>
      </div>
    );
  const id = `q-${question.key}`;
  const described =
    [question.hint ? `${id}-hint` : '', error ? `${id}-error` : ''].filter(Boolean).join(' ') || undefined;
  const label = (
    <>
      {question.type === 'consent' ? 'Your consent' : question.wording}
      {needed && <span className="needed"> needed</span>}
    </>
  );
  const hint = question.hint && (
    <span id={`${id}-hint`} className="question-hint">
      {question.hint}
    </span>
  );
  const kind = kinds[question.type];
  const { Field } = kind;
  const isRadio = kind.isRadio?.(question) ?? false;
  const aria = { 'aria-invalid': error !== null, 'aria-describedby': described, 'aria-required': needed };
  /** A day without its year, a time in another way: written out as soon as the field is left, for everybody to see. */
  const understand = (event: FocusEvent) => {
    const text = (event.target as HTMLInputElement).value;
    const meant = kind.understand?.(text, props.at) ?? text;
    if (meant !== text) props.fields.setValue(question.key, meant, { shouldDirty: true });
  };
  const size = question.third ? 'third' : question.half ? 'half' : '';
  return (
    <div className={['question', error ? 'wrong' : '', size, beside ? 'beside' : ''].filter(Boolean).join(' ')}>
      <span className="question-number serif" aria-hidden="true">
        {question.number}
      </span>
      {Field ? (
        <fieldset
          id={id}
          tabIndex={-1}
          {...(isRadio ? aria : { 'aria-describedby': described })}
          role={isRadio ? 'radiogroup' : undefined}
        >
          <legend className="question-label">
            {label} {hint}
          </legend>
          <Field
            question={question}
            fields={props.fields}
            error={error}
            lineErrors={props.lineErrors ?? {}}
            uploads={props.uploads}
            onGoing={props.onGoing}
          />
        </fieldset>
      ) : (
        <div>
          <div className="question-label">
            <label htmlFor={id}>{label}</label> {hint}
          </div>
          <OutlinedInput
            id={id}
            fullWidth
            multiline={kind.isLong}
            minRows={kind.isLong ? 3 : undefined}
            error={error !== null}
            placeholder={question.example ? `for example ${question.example}` : undefined}
            inputProps={{
              ...kind.input,
              ...aria,
              ...props.fields.register(question.key, { onBlur: (event: FocusEvent) => understand(event) }),
            }}
            endAdornment={
              kind.hasCalendar && (
                <DayPicker
                  label={question.wording}
                  onPick={(iso) => props.fields.setValue(question.key, inWords(iso), { shouldDirty: true })}
                />
              )
            }
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
