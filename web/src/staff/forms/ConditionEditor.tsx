import type { Condition } from '../../shared/condition';
import {
  conditionWords,
  operatorsFor,
  operatorWords,
  questionsOf,
  type Definition,
  type DraftQuestion,
} from './design';

interface Props {
  definition: Definition;
  /** Only questions before this one can be asked about. */
  before: string;
  condition: Condition | undefined;
  onChange: (condition: Condition | undefined) => void;
  words: string;
}

type Test = Extract<Condition, { question: string }>;

/** The plain tests of a condition of one level, or null where it is nested deeper. */
function flat(condition: Condition | undefined): { kind: 'all' | 'any'; tests: Test[] } | null {
  if (!condition) return { kind: 'all', tests: [] };
  if ('question' in condition) return { kind: 'all', tests: [condition] };
  const [kind, parts] =
    'all' in condition
      ? (['all', condition.all] as const)
      : 'any' in condition
        ? (['any', condition.any] as const)
        : (['all', null] as const);
  if (!parts?.every((part): part is Test => 'question' in part)) return null;
  return { kind, tests: parts };
}

/** Edits when something holds, as sentences about the questions before. */
export function ConditionEditor({ definition, before, condition, onChange, words }: Props) {
  const all = questionsOf(definition);
  const place = all.findIndex((question) => question.key === before);
  const earlier = all.slice(0, place < 0 ? all.length : place).filter((question) => question.type !== 'statement');
  const edited = flat(condition);
  if (!edited) {
    return (
      <p>
        {words} {condition && conditionWords(condition, definition)}{' '}
        <button type="button" className="link-button" onClick={() => onChange(undefined)}>
          Begin anew
        </button>
      </p>
    );
  }
  const { kind, tests } = edited;
  const set = (next: Test[], how = kind) =>
    onChange(next.length === 0 ? undefined : ({ [how]: next } as unknown as Condition));
  const first = earlier[0];
  return (
    <div className="condition">
      {tests.map((test, i) => (
        <TestLine
          key={i}
          word={i === 0 ? words : kind === 'all' ? 'and' : 'or'}
          test={test}
          earlier={earlier}
          all={all}
          onChange={(next) => set(tests.map((one, n) => (n === i ? next : one)))}
          onRemove={() => set(tests.filter((_, n) => n !== i))}
        />
      ))}
      {tests.length > 1 && (
        <label className="second">
          <select value={kind} onChange={(event) => set(tests, event.target.value as 'all' | 'any')}>
            <option value="all">all of these hold</option>
            <option value="any">any of these holds</option>
          </select>
        </label>
      )}
      {first ? (
        <button
          type="button"
          className="link-button"
          onClick={() =>
            set([...tests, { question: first.key, op: operatorsFor(first.type)[0] as Test['op'], value: '' }])
          }
        >
          {tests.length === 0 ? `${words} …` : 'and also'}
        </button>
      ) : (
        tests.length === 0 && <span className="second">No question stands before it to ask about.</span>
      )}
    </div>
  );
}

interface LineProps {
  word: string;
  test: Test;
  earlier: DraftQuestion[];
  all: DraftQuestion[];
  onChange: (test: Test) => void;
  onRemove: () => void;
}

function TestLine({ word, test, earlier, all, onChange, onRemove }: LineProps) {
  const asked = earlier.find((question) => question.key === test.question);
  const operators = operatorsFor(asked?.type ?? 'short-text');
  const values = test.values ?? (test.value === undefined ? [] : [test.value]);
  const offered =
    asked?.type === 'yes-no'
      ? [
          { value: 'yes', label: 'yes' },
          { value: 'no', label: 'no' },
        ]
      : asked?.type === 'consent'
        ? [{ value: 'yes', label: 'given' }]
        : (asked?.options ?? []);
  return (
    <p className="condition-line">
      <span>{word}</span>
      <select
        aria-label="Question"
        value={test.question}
        onChange={(event) => onChange({ ...test, question: event.target.value })}
      >
        {!asked && <option value={test.question}>“{test.question}”, which is not there</option>}
        {earlier.map((question) => (
          <option key={question.key} value={question.key}>
            {all.indexOf(question) + 1} {question.wording || 'without wording'}
          </option>
        ))}
      </select>
      <select
        aria-label="How"
        value={test.op}
        onChange={(event) => onChange({ ...test, op: event.target.value as Test['op'] })}
      >
        {[...new Set([...operators, test.op])].map((operator) => (
          <option key={operator} value={operator}>
            {operatorWords[operator]}
          </option>
        ))}
      </select>
      {test.op !== 'is-blank' &&
        (offered.length > 0 && test.op === 'is' ? (
          <select
            aria-label="Value"
            value={values[0] ?? ''}
            onChange={(event) => onChange({ question: test.question, op: test.op, value: event.target.value })}
          >
            <option value="">choose</option>
            {offered.map((option) => (
              <option key={option.value} value={option.value}>
                {option.label}
              </option>
            ))}
          </select>
        ) : (
          <input
            aria-label="Value"
            value={values.join(', ')}
            placeholder={test.op === 'between' ? 'from, to' : test.op === 'is-one-of' ? 'one, another' : ''}
            onChange={(event) => {
              const many = test.op === 'between' || test.op === 'is-one-of';
              onChange(
                many
                  ? {
                      question: test.question,
                      op: test.op,
                      values: event.target.value.split(',').map((text) => text.trim()),
                    }
                  : { question: test.question, op: test.op, value: event.target.value },
              );
            }}
          />
        ))}
      <button type="button" className="link-button" onClick={onRemove} aria-label="take out this condition">
        take out
      </button>
    </p>
  );
}
