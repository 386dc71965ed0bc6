import { asks } from '../../form/answers';
import { kinds } from '../../form/kinds';
import type { Condition } from '../../shared/condition';
import { designed, questionsOf, type Definition, type DraftQuestion } from './design';
import { numberOf, operatorWords } from './conditionWords';

interface Props {
  definition: Definition;
  /** Only questions before this one can be asked about. */
  before: string;
  condition: Condition | undefined;
  onChange: (condition: Condition | undefined) => void;
  words: string;
  /** Whether questions show their numbers; of several forms they have none. */
  numbered?: boolean;
}

type Test = Extract<Condition, { question: string }>;
type How = 'all' | 'any' | 'none';

const hows: Record<How, string> = {
  all: 'all of these hold',
  any: 'any of these holds',
  none: 'none of these holds',
};

interface Group {
  how: How;
  parts: Condition[];
}

/** A condition as a group of parts, however it is stored: “not any of” reads as none of. */
function asGroup(condition: Condition | undefined): Group {
  if (!condition) return { how: 'all', parts: [] };
  if ('all' in condition) return { how: 'all', parts: condition.all };
  if ('any' in condition) return { how: 'any', parts: condition.any };
  if ('not' in condition) return { how: 'none', parts: 'any' in condition.not ? condition.not.any : [condition.not] };
  return { how: 'all', parts: [condition] };
}

function fromGroup({ how, parts }: Group): Condition | undefined {
  if (parts.length === 0) return undefined;
  return how === 'all' ? { all: parts } : how === 'any' ? { any: parts } : { not: { any: parts } };
}

/** Edits when something holds, as sentences about the questions before; groups stand in groups. */
export function ConditionEditor({ definition, before, condition, onChange, words, numbered = true }: Props) {
  const all = questionsOf(definition);
  const place = all.findIndex((question) => question.key === before);
  const earlier = all.slice(0, place < 0 ? all.length : place).filter(asks);
  return (
    <GroupEditor
      definition={definition}
      earlier={earlier}
      condition={condition}
      onChange={onChange}
      words={words}
      numbered={numbered}
      depth={0}
    />
  );
}

interface GroupProps extends Omit<Props, 'before'> {
  earlier: DraftQuestion[];
  depth: number;
}

const deepest = 3;

function GroupEditor({ definition, earlier, condition, onChange, words, numbered = true, depth }: GroupProps) {
  const { how, parts } = asGroup(condition);
  const set = (next: Condition[], as: How = how) => onChange(fromGroup({ how: as, parts: next }));
  const change = (i: number, next: Condition | undefined) =>
    set(next ? parts.map((one, n) => (n === i ? next : one)) : parts.filter((_, n) => n !== i));
  const first = earlier[0];
  const fresh = (): Test[] =>
    first ? [{ question: first.key, op: designed(first.type).operators[0] as Test['op'], value: '' }] : [];
  const between = how === 'all' ? 'and' : 'or';
  return (
    <div className={depth > 0 ? 'condition inner' : 'condition'}>
      {parts.map((part, i) =>
        'question' in part ? (
          <TestLine
            key={i}
            word={i === 0 ? words : between}
            test={part}
            earlier={earlier}
            definition={definition}
            numbered={numbered}
            onChange={(next) => change(i, next)}
            onRemove={() => change(i, undefined)}
          />
        ) : (
          <GroupEditor
            key={i}
            definition={definition}
            earlier={earlier}
            condition={part}
            onChange={(next) => change(i, next)}
            words={i === 0 ? words : between}
            numbered={numbered}
            depth={depth + 1}
          />
        ),
      )}
      {(parts.length > 1 || how === 'none') && (
        <label className="second">
          <select
            aria-label="How they hold together"
            value={how}
            onChange={(event) => set(parts, event.target.value as How)}
          >
            {Object.entries(hows).map(([one, text]) => (
              <option key={one} value={one}>
                {text}
              </option>
            ))}
          </select>
        </label>
      )}{' '}
      {first ? (
        <>
          <button type="button" className="link-button" onClick={() => set([...parts, ...fresh()])}>
            {parts.length === 0 ? `${words} …` : 'and also'}
          </button>{' '}
          {parts.length > 0 && depth < deepest && (
            <button
              type="button"
              className="link-button"
              onClick={() => set([...parts, how === 'all' ? { any: fresh() } : { all: fresh() }])}
            >
              a group
            </button>
          )}
        </>
      ) : (
        parts.length === 0 && <span className="second">No question stands before it to ask about.</span>
      )}
    </div>
  );
}

interface LineProps {
  word: string;
  test: Test;
  earlier: DraftQuestion[];
  definition: Definition;
  numbered: boolean;
  onChange: (test: Test) => void;
  onRemove: () => void;
}

/** Whether an operator takes several values. */
function many(op: Test['op']): boolean {
  return op === 'between' || op === 'is-one-of' || op === 'has-none-of';
}

function TestLine({ word, test, earlier, definition, numbered, onChange, onRemove }: LineProps) {
  const asked = earlier.find((question) => question.key === test.question);
  const operators = designed(asked?.type ?? 'short-text').operators;
  const values = test.values ?? (test.value === undefined ? [] : [test.value]);
  const offered = asked ? kinds[asked.type].offered(asked) : [];
  return (
    <p className="condition-line">
      <span>{word}</span>
      <select
        aria-label="Question"
        value={test.question}
        onChange={(event) => {
          const next = earlier.find((question) => question.key === event.target.value);
          // What was asked about the other question means nothing of this one.
          const op = designed(next?.type ?? 'short-text').operators[0] as Test['op'];
          onChange({ question: event.target.value, op, value: '' });
        }}
      >
        {!asked && <option value={test.question}>“{test.question}”, which is not there</option>}
        {earlier.map((question) => (
          <option key={question.key} value={question.key}>
            {numbered && numberOf(definition, question.key)} {question.wording || 'without wording'}
          </option>
        ))}
      </select>
      <select
        aria-label="How"
        value={test.op}
        onChange={(event) => {
          const op = event.target.value as Test['op'];
          onChange(
            many(op)
              ? { question: test.question, op, values }
              : { question: test.question, op, value: values[0] ?? '' },
          );
        }}
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
        ) : offered.length > 0 && (test.op === 'is-one-of' || test.op === 'has-none-of') ? (
          <span className="condition-choices" role="group" aria-label="Values">
            {offered.map((option) => (
              <label key={option.value}>
                <input
                  type="checkbox"
                  checked={values.includes(option.value)}
                  onChange={(event) =>
                    onChange({
                      question: test.question,
                      op: test.op,
                      values: event.target.checked
                        ? [...values.filter(Boolean), option.value]
                        : values.filter((value) => value !== option.value),
                    })
                  }
                />{' '}
                {option.label}
              </label>
            ))}
          </span>
        ) : (
          <input
            aria-label="Value"
            value={values.join(', ')}
            placeholder={test.op === 'between' ? 'from, to' : many(test.op) ? 'one, another' : ''}
            onChange={(event) => {
              onChange(
                many(test.op)
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
      <button type="button" className="link-button" onClick={onRemove} aria-label="remove this condition">
        remove
      </button>
    </p>
  );
}
