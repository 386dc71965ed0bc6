import { Whole } from './AnswerParticulars';
import {
  designed,
  ofKind,
  type DraftQuestion,
  type KnownKinds,
  type Kind,
  type Definition,
} from '../definition/design';
import { OffersEditor } from './OffersEditor';
import { GoesTo } from './QuestionPane';

interface Props {
  definition: Definition;
  known: KnownKinds;
  question: DraftQuestion;
  onChange: (part: Partial<DraftQuestion>) => void;
}

const most = 12;

/** What each line of a table asks: its columns, each with a wording, a kind and a place to go. */
export function LinesEditor({ definition, known, question, onChange }: Props) {
  const lines = question.lines ?? [];
  const set = (next: DraftQuestion[]) => onChange({ lines: next });
  const change = (i: number, part: Partial<DraftQuestion>) =>
    set(lines.map((column, n) => (n === i ? { ...column, ...part } : column)));
  const fresh = () => {
    const taken = new Set(lines.map((column) => column.key));
    for (let n = lines.length + 1; ; n++) if (!taken.has(`column_${n}`)) return `column_${n}`;
  };
  return (
    <div>
      <dt>Each line</dt>
      <dd>
        {lines.map((column, i) => (
          <fieldset key={column.key} className="column-particulars">
            <legend className="unseen">Column {i + 1}</legend>
            <p>
              <input
                aria-label={`Wording of column ${i + 1}`}
                value={column.wording}
                maxLength={100}
                placeholder="wording"
                onChange={(event) => change(i, { wording: event.target.value })}
              />{' '}
              <select
                aria-label={`Kind of column ${i + 1}`}
                value={column.type}
                onChange={(event) => change(i, ofKind(known, column, event.target.value as Kind))}
              >
                {known.kinds
                  .filter((one) => one.inLines)
                  .map((one) => (
                    <option key={one.kind} value={one.kind}>
                      {designed(one.kind as Kind).words}
                    </option>
                  ))}
              </select>
            </p>
            <p>
              <label>
                <input
                  type="checkbox"
                  checked={column.required ?? false}
                  onChange={(event) => change(i, { required: event.target.checked })}
                />{' '}
                required
              </label>{' '}
              {lines.length > 1 && (
                <button
                  type="button"
                  className="link-button"
                  aria-label={`remove column ${i + 1}`}
                  onClick={() => set(lines.filter((_, n) => n !== i))}
                >
                  remove
                </button>
              )}
            </p>
            <dl>
              {designed(column.type).offers && (
                <OffersEditor definition={definition} question={column} onChange={(part) => change(i, part)} />
              )}
              <GoesTo known={known} question={column} onChange={(part) => change(i, part)} none="with the table" />
            </dl>
          </fieldset>
        ))}
        {lines.length < most && (
          <button
            type="button"
            className="link-button"
            onClick={() => set([...lines, { key: fresh(), type: 'short-text', wording: '' }])}
          >
            and also
          </button>
        )}
        <p>
          up to{' '}
          <Whole
            name="Most lines"
            value={question.maxLines}
            empty={10}
            least={1}
            most={50}
            onChange={(maxLines) => onChange({ maxLines })}
          />{' '}
          lines
        </p>
      </dd>
    </div>
  );
}
