import { useEditorKey } from '../keys';
import { useUnsaved } from '../shell/useUnsaved';
import type { Submission } from './queries';

type Answer = Submission['answers'][number];
type How = NonNullable<Answer['right']>;

interface Props {
  /** Names what is typed here until it is saved. */
  name: string;
  answer: Answer;
  /** What stands in its place already; several values or parts one a line. */
  right: string;
  onSave: ((question: string, text: string) => void) | undefined;
}

/** As people read it: choices by what they are called, parts behind one another. */
function told(text: string, how: How | null): string {
  return text
    .split('\n')
    .map((one) => how?.offers.find(({ value }) => value === one)?.label ?? one)
    .filter(Boolean)
    .join(', ');
}

/** An answer put right for the plan: beneath what was written, which stays. */
export function PutRight({ name, answer, right, onSave }: Props) {
  const [typed, setTyped, forget] = useUnsaved<string | null>(name, null);
  const how = answer.right;
  if (!onSave || !how) return right ? <p className="put-right">for {told(right, how)}</p> : null;
  const begin = () => setTyped(right || how.given);
  if (typed === null)
    return (
      <p className={right ? 'put-right' : 'put-right idle'}>
        {right && (
          <>
            put right: <b>{told(right, how)}</b>{' '}
            <button type="button" className="link-button" onClick={() => onSave(answer.key, '')}>
              as it was
            </button>{' '}
          </>
        )}
        <button
          type="button"
          className="link-button put-right-begin"
          aria-label={`put right: ${answer.wording}`}
          onClick={begin}
          onKeyDown={(event) => {
            if (event.key.toLowerCase() === 'e' && !event.ctrlKey && !event.metaKey) {
              event.preventDefault();
              begin();
            }
          }}
        >
          put right <kbd aria-hidden="true">E</kbd>
        </button>
      </p>
    );
  const close = () => {
    setTyped(null);
    forget();
  };
  return (
    <RightEditor
      typed={typed}
      how={how}
      wording={answer.wording}
      onType={setTyped}
      onCancel={close}
      onSave={() => {
        close();
        onSave(answer.key, typed.trim() === how.given.trim() ? '' : how.parts.length > 0 ? typed : typed.trim());
      }}
    />
  );
}

interface EditorProps {
  typed: string;
  how: How;
  wording: string;
  onType: (text: string) => void;
  onSave: () => void;
  onCancel: () => void;
}

function RightEditor({ typed, how, wording, onType, onSave, onCancel }: EditorProps) {
  useEditorKey(onSave);
  return (
    <form
      className="put-right"
      data-open-edit
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onCancel();
      }}
    >
      <RightField typed={typed} how={how} wording={wording} onType={onType} />{' '}
      <button type="submit" className="link-button">
        Use this
      </button>{' '}
      <button type="button" className="link-button" onClick={onCancel}>
        Cancel
      </button>
    </form>
  );
}

/** The field that fits the kind of answer. */
function RightField({ typed, how, wording, onType }: Omit<EditorProps, 'onSave' | 'onCancel'>) {
  const label = `put right: ${wording}`;
  const lines = typed.split('\n');
  if (how.several)
    return (
      <fieldset className="several-of" aria-label={label}>
        {how.offers.map(({ value, label: words }, i) => (
          <label key={value}>
            <input
              type="checkbox"
              autoFocus={i === 0}
              checked={lines.includes(value)}
              onChange={(event) =>
                onType(
                  how.offers
                    .map((one) => one.value)
                    .filter((one) => (one === value ? event.target.checked : lines.includes(one)))
                    .join('\n'),
                )
              }
            />{' '}
            {words}
          </label>
        ))}
      </fieldset>
    );
  if (how.offers.length > 0)
    return (
      <select aria-label={label} value={typed} autoFocus onChange={(event) => onType(event.target.value)}>
        {!how.offers.some(({ value }) => value === typed) && <option value={typed}>{typed || 'choose'}</option>}
        {how.offers.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
      </select>
    );
  if (how.parts.length > 0)
    return (
      <>
        {how.parts.map((part, i) => (
          <input
            key={part}
            aria-label={`${label}, ${part}`}
            placeholder={part}
            value={lines[i] ?? ''}
            autoFocus={i === 0}
            maxLength={400}
            onChange={(event) =>
              onType(how.parts.map((_, j) => (j === i ? event.target.value : (lines[j] ?? ''))).join('\n'))
            }
          />
        ))}
      </>
    );
  return (
    <input
      aria-label={label}
      value={typed}
      autoFocus
      maxLength={4000}
      onChange={(event) => onType(event.target.value)}
    />
  );
}
