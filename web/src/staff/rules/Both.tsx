import type { Schema } from '../../shared/api';

const sentence = (line: Schema<'PlanLine'>) => line.parts.map((part) => part.text).join('');

/** The two plans, line beside line; what only one of them has stands out. */
export function Both({ run }: { run: Schema<'DryRun'> }) {
  const before = new Map(run.without.lines.map((line) => [line.key, line]));
  const after = new Map(run.with.lines.map((line) => [line.key, line]));
  const keys = [...new Set([...run.with.lines, ...run.without.lines].map((line) => line.key))];
  const changed = keys.filter((key) => {
    const [a, b] = [before.get(key), after.get(key)];
    return !a || !b || sentence(a) !== sentence(b) || a.note !== b.note || a.reason !== b.reason;
  });
  if (!run.holds) return <p>It does not hold for this one: the plan stays as it is.</p>;
  if (changed.length === 0) return <p>It holds, and changes nothing.</p>;
  return (
    <table className="both">
      <thead>
        <tr>
          <th scope="col">Without the rule</th>
          <th scope="col">With it</th>
        </tr>
      </thead>
      <tbody>
        {changed.map((key) => (
          <tr key={key}>
            <Cell line={before.get(key)} />
            <Cell line={after.get(key)} strong />
          </tr>
        ))}
      </tbody>
      {keys.length > changed.length && (
        <tfoot>
          <tr>
            <td colSpan={2} className="second">
              The other {keys.length - changed.length} lines stay as they are.
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}

function Cell({ line, strong = false }: { line: Schema<'PlanLine'> | undefined; strong?: boolean }) {
  return (
    <td>
      {line ? (
        <>
          {strong ? <b>{sentence(line)}</b> : sentence(line)}
          {line.note && <span className="second"> {line.note}</span>}
          {line.reason && <i className="second"> {line.reason}</i>}
        </>
      ) : (
        <span className="second">no such line</span>
      )}
    </td>
  );
}
