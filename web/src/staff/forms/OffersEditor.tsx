import type { DraftQuestion } from './design';

/** What may be chosen from, a line each. */
export function OffersEditor({
  question,
  onChange,
}: {
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}) {
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

/** Labels a line each; an option keeps its value while its place does, so that what was answered still counts. */
function optionsFrom(text: string, before: { value: string; label: string }[]): { value: string; label: string }[] {
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
    return [{ value, label }];
  });
}
