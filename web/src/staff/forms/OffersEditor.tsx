import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { conditionsAbout, freshValue, isUnwritten, type Definition, type DraftQuestion } from '../definition/design';

interface Props {
  definition: Definition;
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
  /** What the business offers: where the answer says which, these are offered, each under its own key. */
  services?: Offered[];
}

type Offered = NonNullable<DraftQuestion['options']>[number];

/**
 * What may be chosen from, a field each. A choice is the same choice for ever, wherever it stands and whatever it says:
 * answers, conditions and rules hold on to its value, which nobody types.
 */
export function OffersEditor({ definition, question, onChange, services = [] }: Props) {
  const options = question.options ?? [];
  const asksService = question.destination === 'project.service';
  const missing = asksService ? services.filter((one) => !options.some((option) => option.value === one.value)) : [];
  const list = useRef<HTMLUListElement>(null);
  const [going, setGoing] = useState<string | null>(null);
  const set = (next: Offered[]) => onChange({ options: next });
  // Drawn at once: letters that are typed on without a pause belong to the field that is meant.
  const setAndGo = (next: Offered[], place: number) => {
    flushSync(() => set(next));
    list.current?.querySelectorAll<HTMLInputElement>('input')[place]?.focus();
  };
  const change = (i: number, text: string) => {
    const [label = '', ...more] = text.split('\n');
    const added = more
      .filter((line) => line.trim() !== '')
      .map((line) => ({ value: freshValue(), label: line.trim() }));
    set([
      ...options.slice(0, i),
      { ...options[i], value: options[i]?.value ?? freshValue(), label },
      ...added,
      ...options.slice(i + 1),
    ]);
  };
  const add = (at: number) => {
    setAndGo([...options.slice(0, at), { value: freshValue(), label: '' }, ...options.slice(at)], at);
  };
  const move = (i: number, step: -1 | 1) => {
    const to = i + step;
    const one = options[i];
    if (!one || to < 0 || to >= options.length) return;
    const left = options.filter((_, n) => n !== i);
    setAndGo([...left.slice(0, to), one, ...left.slice(to)], to);
  };
  const remove = (i: number, sure = false) => {
    const value = options[i]?.value ?? '';
    if (!sure && conditionsAbout(definition, question.key, value) > 0) {
      setGoing(value);
      return;
    }
    setGoing(null);
    setAndGo(
      options.filter((_, n) => n !== i),
      Math.max(0, i - 1),
    );
  };
  return (
    <div>
      <dt>Offers</dt>
      <dd>
        <ul className="offers" ref={list} aria-label="What it offers">
          {options.map((option, i) => (
            <li key={option.value}>
              <input
                aria-label={`Choice ${i + 1}`}
                value={option.label}
                maxLength={200}
                onChange={(event) => change(i, event.target.value)}
                onPaste={(event) => {
                  const text = event.clipboardData.getData('text');
                  if (!text.includes('\n')) return;
                  event.preventDefault();
                  change(i, option.label + text);
                }}
                onKeyDown={(event) => {
                  if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) add(i + 1);
                  else if (event.key === 'Backspace' && option.label === '' && options.length > 1) remove(i);
                  else if (event.altKey && event.key === 'ArrowUp') move(i, -1);
                  else if (event.altKey && event.key === 'ArrowDown') move(i, 1);
                  else return;
                  event.preventDefault();
                  event.stopPropagation();
                }}
              />
              <button
                type="button"
                className="link-button"
                aria-label={`Remove ${option.label || `choice ${i + 1}`}`}
                onClick={() => remove(i)}
              >
                Remove
              </button>
              {going === option.value && (
                <p className="question-error" role="alert">
                  A condition asks about it, and would not hold any more.{' '}
                  <button type="button" className="link-button" onClick={() => remove(i, true)}>
                    Remove all the same
                  </button>{' '}
                  <button type="button" className="link-button" onClick={() => setGoing(null)}>
                    Cancel
                  </button>
                </p>
              )}
            </li>
          ))}
        </ul>
        <button type="button" className="link-button" onClick={() => add(options.length)}>
          Add a choice
        </button>
        {missing.length > 0 && ' '}
        {missing.length > 0 && (
          <button
            type="button"
            className="link-button"
            onClick={() => set([...options.filter((one) => !isUnwritten(one)), ...missing])}
          >
            Offer our services
          </button>
        )}
        <small className="offers-keys">
          <kbd>Enter</kbd> next, <kbd>Alt ↑</kbd> <kbd>Alt ↓</kbd> move; several lines can be pasted
        </small>
        <OtherWords question={question} onChange={onChange} />
        {question.type === 'one-of' && (
          <p>
            <label>
              <input
                type="checkbox"
                checked={question.asList ?? false}
                onChange={(event) => onChange({ asList: event.target.checked })}
              />{' '}
              folded into a list
            </label>
          </p>
        )}
      </dd>
    </div>
  );
}

/** Other words for what is offered: understood where an answer did not come from the page. */
function OtherWords({ question, onChange }: Omit<Props, 'definition'>) {
  const options = question.options ?? [];
  const set = (i: number, text: string) =>
    onChange({
      options: options.map((option, n) => (n === i ? withWords(option, text) : option)),
    });
  return (
    <details className="other-words">
      <summary>Other words for them</summary>
      {options.map((option, i) => (
        <label key={option.value}>
          <span>{option.label}</span>
          <input
            defaultValue={(option.also ?? []).join(', ')}
            maxLength={300}
            placeholder="as people may write it, parted by commas"
            onBlur={(event) => set(i, event.target.value)}
          />
        </label>
      ))}
    </details>
  );
}

function withWords(option: Offered, text: string): Offered {
  const also = text
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean);
  const { value, label } = option;
  return also.length > 0 ? { value, label, also } : { value, label };
}
