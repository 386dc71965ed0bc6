import { weightFigure, weightWords } from '../shell/weight';
import type { PlanLine } from './deciding';
import { difference } from './difference';
import { nowhere, useLooking } from './looking';

/** What differs from the file, field by field. */
export function Compared({ line }: { line: PlanLine }) {
  const { look } = useLooking();
  return (
    <table className="compared">
      <thead>
        <tr>
          <th scope="col">
            <span className="unseen">Field</span>
          </th>
          <th scope="col">In this form</th>
          <th scope="col">In your records</th>
          <th scope="col">
            <span className="unseen">Compared</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {line.compared.map((field) => (
          <tr
            key={field.field}
            onMouseEnter={() => look({ answer: field.answer, line: line.key })}
            onMouseLeave={() => look(nowhere)}
          >
            <th scope="row">{field.field}</th>
            <td>
              <Differing text={field.here} other={field.there} same={field.same} />
              {field.answer !== null && <sup className="figures">{field.answer}</sup>}
            </td>
            <td>
              <Differing text={field.there} other={field.here} same={field.same} />
            </td>
            <td>
              {field.same ? field.verdict : <b>{field.verdict}</b>}
              {field.weight !== 0 && <small title={weightFigure(field.weight)}> {weightWords(field.weight)}</small>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Differing({ text, other, same }: { text: string; other: string; same: boolean }) {
  if (same) return <Breakable text={text} />;
  const { before, middle, after } = difference(text, other);
  // Where hardly anything is shared, everything would be bold: the verdict says enough.
  if (middle.length > text.length / 2) return <Breakable text={text} />;
  return (
    <>
      {before}
      <b>{middle}</b>
      {after}
    </>
  );
}

/** A long mail address breaks after its @ before it breaks anywhere else. */
function Breakable({ text }: { text: string }) {
  const at = text.indexOf('@') + 1;
  return (
    <>
      {text.slice(0, at)}
      <wbr />
      {text.slice(at)}
    </>
  );
}
