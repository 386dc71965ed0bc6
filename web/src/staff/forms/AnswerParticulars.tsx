import { kinds } from '../../form/kinds';
import { ConditionEditor } from '../definition/ConditionEditor';
import { designed, type Definition, type DraftQuestion } from '../definition/design';

interface Props {
  definition: Definition;
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}

/** Whether an answer is needed, and what it must be like. */
export function AnswerParticulars({ definition, question, onChange }: Props) {
  const isDay = question.type.startsWith('day');
  const { letters } = designed(question.type);
  return (
    <div>
      <dt>Answer</dt>
      <dd>
        <label>
          <input
            type="checkbox"
            checked={question.required ?? false}
            onChange={(event) => onChange({ required: event.target.checked })}
          />{' '}
          required
        </label>
        {!question.required && (
          <ConditionEditor
            words="required if"
            definition={definition}
            before={question.key}
            condition={question.requiredIf}
            onChange={(requiredIf) => onChange({ requiredIf })}
          />
        )}
        {letters !== undefined && (
          <p>
            like{' '}
            <input
              aria-label="Example"
              value={question.example ?? ''}
              maxLength={100}
              placeholder="example text"
              onChange={(event) => onChange({ example: event.target.value })}
            />
          </p>
        )}
        {designed(question.type).begins && <Beginning question={question} onChange={onChange} />}
        {letters !== undefined && (
          <p>
            <Whole
              name="Least letters"
              value={question.minLength}
              empty={0}
              onChange={(minLength) => onChange({ minLength })}
            />{' '}
            to{' '}
            <Whole
              name="Most letters"
              value={question.maxLength}
              empty={letters}
              onChange={(maxLength) => onChange({ maxLength })}
            />{' '}
            letters
          </p>
        )}
        {designed(question.type).bounded && (
          <p>
            from{' '}
            <input
              aria-label="From"
              size={10}
              value={question.min ?? ''}
              placeholder={isDay ? 'today+1' : 'any'}
              onChange={(event) => onChange({ min: event.target.value })}
            />{' '}
            to{' '}
            <input
              aria-label="To"
              size={10}
              value={question.max ?? ''}
              placeholder="any"
              onChange={(event) => onChange({ max: event.target.value })}
            />
          </p>
        )}
        {designed(question.type).fits && (
          <p>
            fits{' '}
            <input
              aria-label="Pattern"
              value={question.pattern ?? ''}
              maxLength={200}
              placeholder="any text, or a pattern"
              onChange={(event) => onChange({ pattern: event.target.value })}
            />
            {question.pattern && (
              <>
                , or it says{' '}
                <input
                  aria-label="What it says"
                  value={question.message ?? ''}
                  maxLength={200}
                  onChange={(event) => onChange({ message: event.target.value })}
                />
              </>
            )}
          </p>
        )}
        {question.type === 'files' && <FileBounds question={question} onChange={onChange} />}
      </dd>
    </div>
  );
}

function Beginning({ question, onChange }: Omit<Props, 'definition'>) {
  const options = kinds[question.type].offered(question);
  return (
    <p>
      begins with{' '}
      {options.length > 0 ? (
        <select
          aria-label="Begins with"
          value={question.default ?? ''}
          onChange={(event) => onChange({ default: event.target.value })}
        >
          <option value="">nothing</option>
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </select>
      ) : (
        <input
          aria-label="Begins with"
          size={12}
          value={question.default ?? ''}
          maxLength={200}
          placeholder="nothing"
          onChange={(event) => onChange({ default: event.target.value })}
        />
      )}
    </p>
  );
}

function FileBounds({ question, onChange }: Omit<Props, 'definition'>) {
  const megabytes = Math.round((question.maxBytes ?? 10_485_760) / 1_048_576);
  return (
    <p>
      up to{' '}
      <Whole
        name="How many files"
        value={question.maxFiles}
        empty={8}
        least={1}
        most={20}
        onChange={(maxFiles) => onChange({ maxFiles })}
      />{' '}
      <select
        aria-label="Kinds of files"
        value={question.fileKinds ?? 'any'}
        onChange={(event) => onChange({ fileKinds: event.target.value as DraftQuestion['fileKinds'] })}
      >
        <option value="any">photographs or PDF files</option>
        <option value="images">photographs</option>
        <option value="pdf">PDF files</option>
      </select>
      , each of at most{' '}
      <Whole
        name="Megabytes"
        value={megabytes}
        empty={10}
        least={1}
        most={10}
        onChange={(mb) => onChange({ maxBytes: mb * 1_048_576 })}
      />{' '}
      MB
    </p>
  );
}

/** A whole number within bounds; what is out of them is put back. */
export function Whole({
  name,
  value,
  empty,
  least = 0,
  most = 10_000,
  onChange,
}: {
  name: string;
  value: number | undefined;
  empty: number;
  least?: number;
  most?: number;
  onChange: (value: number) => void;
}) {
  return (
    <input
      aria-label={name}
      type="number"
      min={least}
      max={most}
      value={value ?? empty}
      onChange={(event) => onChange(Math.max(least, Math.min(most, Math.round(Number(event.target.value)) || least)))}
    />
  );
}
