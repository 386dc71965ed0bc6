import type { DraftQuestion } from './design';

interface Props {
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}

/** What may be chosen from, a line each. */
export function OffersEditor({ question, onChange }: Props) {
  return (
    <div>
      <dt>Offers</dt>
      <dd>
        <textarea
          aria-label="What it offers, one a line"
          rows={Math.max(3, (question.options?.length ?? 0) + 1)}
          value={(question.options ?? []).map((option) => option.label).join('\n')}
          onChange={(event) => onChange({ options: optionsFrom(event.target.value, question.options ?? []) })}
        />
        <small>one a line</small>
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
function OtherWords({ question, onChange }: Props) {
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

type Offered = NonNullable<DraftQuestion['options']>[number];

/** Labels a line each; an option keeps its value while its place does, so that what was answered still counts. */
function optionsFrom(text: string, before: Offered[]): Offered[] {
  const taken = new Set<string>();
  return text.split('\n').flatMap((label, i) => {
    if (label.trim() === '' && i > 0 && text.split('\n').length - 1 === i)
      return [{ value: before[i]?.value ?? `option_${i + 1}`, label: '' }];
    let value =
      before.find((option) => option.label === label)?.value ??
      before[i]?.value ??
      (label
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-|-$/g, '') ||
        `option_${i + 1}`);
    while (taken.has(value)) value = `${value}-2`;
    taken.add(value);
    const also = before.find((option) => option.value === value)?.also;
    return [also ? { value, label, also } : { value, label }];
  });
}
