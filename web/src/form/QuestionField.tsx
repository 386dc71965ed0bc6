import OutlinedInput from '@mui/material/OutlinedInput';
import type { FocusEvent, InputHTMLAttributes, ReactNode } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { MarkShape } from '../shared/Mark';
import { partOf } from './answers';
import { asTime, inWords, withYear, type At } from './bounds';
import { ChoiceField } from './ChoiceField';
import { DayPicker } from './DayPicker';
import { FilesField } from './FilesField';
import { LinesField } from './LinesField';
import { comesInParts, PartsField } from './PartsField';
import type { Answers, Question } from './types';
import { SignatureField } from './SignatureField';
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

const oneChoice = ['one-of', 'yes-no', 'scale', 'rating'];
const choices = [...oneChoice, 'any-of', 'consent'];

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
  const grouped = groupedField(props);
  const isRadio = oneChoice.includes(question.type) && !(question.type === 'one-of' && question.asList);
  const aria = { 'aria-invalid': error !== null, 'aria-describedby': described, 'aria-required': needed };
  /** A day without its year, a time in another way: written out as soon as the field is left, for everybody to see. */
  const understand = (event: FocusEvent) => {
    const text = (event.target as HTMLInputElement).value;
    const meant =
      question.type === 'time' ? asTime(text) : question.type === 'day' && props.at ? withYear(text, props.at) : text;
    if (meant !== text) props.fields.setValue(question.key, meant, { shouldDirty: true });
  };
  const size = question.third ? 'third' : question.half ? 'half' : '';
  return (
    <div className={['question', error ? 'wrong' : '', size, beside ? 'beside' : ''].filter(Boolean).join(' ')}>
      <span className="question-number serif" aria-hidden="true">
        {question.number}
      </span>
      {grouped ? (
        <fieldset
          id={id}
          tabIndex={-1}
          {...(isRadio ? aria : { 'aria-describedby': described })}
          role={isRadio ? 'radiogroup' : undefined}
        >
          <legend className="question-label">
            {label} {hint}
          </legend>
          {grouped}
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
            inputProps={{
              ...help[question.type],
              ...aria,
              ...props.fields.register(question.key, { onBlur: (event: FocusEvent) => understand(event) }),
            }}
            endAdornment={
              question.type === 'day' && (
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

/** The field of a kind that has several controls; nothing for one that is a single input. */
function groupedField({ question, fields, error, lineErrors, uploads, onGoing }: Props): ReactNode {
  const { register, control, setValue, getValues } = fields;
  if (choices.includes(question.type)) return <ChoiceField question={question} register={register} />;
  if (question.type === 'files') return <FilesField question={question} uploads={uploads} />;
  if (question.type === 'lines')
    return <LinesField question={question} control={control} register={register} errors={lineErrors ?? {}} />;
  if (comesInParts(question)) return <PartsField question={question} register={register} wrong={error !== null} />;
  if (question.type === 'signature') {
    const answers = getValues();
    return (
      <SignatureField
        question={question}
        register={register}
        setValue={setValue}
        how={partOf(answers, question.key, 'how')}
        kept={partOf(answers, question.key, 'image') !== ''}
        strokes={partOf(answers, question.key, 'strokes')}
        onGoing={onGoing}
        wrong={error !== null}
      />
    );
  }
  return null;
}
