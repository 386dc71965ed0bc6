import type { Ref } from 'react';
import { StaffField } from '../shell/StaffField';
import { ConditionEditor } from './ConditionEditor';
import { destinations, destinationsFor, kinds, type Definition, type DraftQuestion, type Kind } from './design';

interface Props {
  definition: Definition;
  question: DraftQuestion;
  number: number;
  onChange: (part: Partial<DraftQuestion>) => void;
  wordingRef: Ref<HTMLInputElement>;
}

/** The particulars of one question, each line a sentence. */
export function QuestionPane({ definition, question, number, onChange, wordingRef }: Props) {
  const fits = destinationsFor(question.type);
  const offers = question.type === 'one-of' || question.type === 'any-of';
  const bounded = ['number', 'money', 'day'].includes(question.type);
  return (
    <>
      <div className="pillar-head">
        <h2>Question {number}</h2>
        <small>{question.key}</small>
      </div>
      <div className="particulars">
        <StaffField
          label={question.type === 'statement' ? 'Text' : 'Wording'}
          ref={wordingRef}
          value={question.wording}
          maxLength={500}
          onChange={(event) => onChange({ wording: event.target.value })}
        />
        {question.type !== 'statement' && (
          <StaffField
            label="Help, beside the wording"
            value={question.hint ?? ''}
            maxLength={300}
            onChange={(event) => onChange({ hint: event.target.value })}
          />
        )}
        <dl>
          <div>
            <dt>Kind</dt>
            <dd>
              <select
                aria-label="Kind"
                value={question.type}
                onChange={(event) => {
                  const type = event.target.value as Kind;
                  const keeps = destinationsFor(type).includes(question.destination ?? '');
                  onChange({
                    type,
                    destination: keeps ? question.destination : '',
                    ...((type === 'one-of' || type === 'any-of') && !question.options?.length
                      ? {
                          options: [
                            { value: 'first', label: 'First' },
                            { value: 'second', label: 'Second' },
                          ],
                        }
                      : {}),
                  });
                }}
              >
                {Object.entries(kinds).map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </select>
            </dd>
          </div>
          {offers && (
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
              </dd>
            </div>
          )}
          {question.type !== 'statement' && question.type !== 'hidden' && (
            <div>
              <dt>Answer</dt>
              <dd>
                <label>
                  <input
                    type="checkbox"
                    checked={question.required ?? false}
                    onChange={(event) => onChange({ required: event.target.checked })}
                  />{' '}
                  must be given
                </label>
                {!question.required && (
                  <ConditionEditor
                    words="must be given if"
                    definition={definition}
                    before={question.key}
                    condition={question.requiredIf}
                    onChange={(requiredIf) => onChange({ requiredIf })}
                  />
                )}
                {question.type === 'short-text' && (
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
                {bounded && (
                  <p>
                    from{' '}
                    <input
                      aria-label="From"
                      size={10}
                      value={question.min ?? ''}
                      placeholder={question.type === 'day' ? 'today+1' : 'any'}
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
                {question.type === 'short-text' && (
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
                {question.type === 'files' && (
                  <p>
                    up to{' '}
                    <input
                      aria-label="How many files"
                      type="number"
                      min={1}
                      max={20}
                      value={question.maxFiles ?? 8}
                      onChange={(event) =>
                        onChange({ maxFiles: Math.max(1, Math.min(20, Number(event.target.value) || 1)) })
                      }
                    />{' '}
                    files
                  </p>
                )}
              </dd>
            </div>
          )}
          {question.type === 'hidden' && (
            <div>
              <dt>From</dt>
              <dd>
                the address parameter{' '}
                <input
                  aria-label="Address parameter"
                  value={question.parameter ?? ''}
                  maxLength={40}
                  placeholder="campaign"
                  onChange={(event) => onChange({ parameter: event.target.value })}
                />
              </dd>
            </div>
          )}
          <div>
            <dt>Shown</dt>
            <dd>
              {!question.showIf && <span>always. </span>}
              <ConditionEditor
                words="only if"
                definition={definition}
                before={question.key}
                condition={question.showIf}
                onChange={(showIf) => onChange({ showIf })}
              />
              <p>
                <label>
                  <input
                    type="checkbox"
                    checked={question.staffOnly ?? false}
                    onChange={(event) => onChange({ staffOnly: event.target.checked })}
                  />{' '}
                  to staff only
                </label>{' '}
                <label>
                  <input
                    type="checkbox"
                    checked={question.half ?? false}
                    onChange={(event) => onChange({ half: event.target.checked })}
                  />{' '}
                  on half a line
                </label>
              </p>
            </dd>
          </div>
          {fits.length > 0 && (
            <div>
              <dt>Goes to</dt>
              <dd>
                <select
                  aria-label="Goes to"
                  value={question.destination ?? ''}
                  onChange={(event) => onChange({ destination: event.target.value })}
                >
                  <option value="">the submission, told in the project’s notes</option>
                  {fits.map((fit) => (
                    <option key={fit} value={fit}>
                      {destinations[fit]}
                    </option>
                  ))}
                </select>
                {!question.destination && fits[0] && fits[0] !== 'project.notes' && (
                  <button type="button" className="link-button" onClick={() => onChange({ destination: fits[0] })}>
                    likely: {destinations[fits[0]]}
                  </button>
                )}
              </dd>
            </div>
          )}
        </dl>
      </div>
    </>
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
