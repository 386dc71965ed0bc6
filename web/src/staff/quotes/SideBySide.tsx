import { useQuote, type Quote } from './queries';
import { money } from './states';

/** Two revisions beside each other: every line of either, what was and what is. What differs stands out by its words. */
export function SideBySide({ before, now }: { before: string; now: Quote }) {
  const older = useQuote(before);
  if (older.error) return <p className="staff-field-error">{older.error.message}</p>;
  if (!older.data) return <p className="second">One moment …</p>;
  const [was, is] = [sides(older.data), sides(now)];
  const keys = [...was.keys(), ...[...is.keys()].filter((key) => !was.has(key))];
  return (
    <table className="quote-versions">
      <thead>
        <tr>
          <th scope="col">line</th>
          <th scope="col">{older.data.number}</th>
          <th scope="col">{now.number}</th>
        </tr>
      </thead>
      <tbody>
        {keys.map((key) => {
          const [left, right] = [was.get(key), is.get(key)];
          const differs = left?.words !== right?.words || left?.name !== right?.name;
          return (
            <tr key={key} className={differs ? 'differs' : undefined}>
              <th scope="row">
                {right?.name ?? left?.name}
                {left && right && left.name !== right.name && <small> before: {left.name}</small>}
              </th>
              <td>{left?.words ?? 'was not there'}</td>
              <td>{right?.words ?? 'gone'}</td>
            </tr>
          );
        })}
      </tbody>
      <tfoot>
        <tr className={older.data.total === now.total ? undefined : 'differs'}>
          <th scope="row">Total</th>
          <td>{money(older.data.total)}</td>
          <td>{money(now.total)}</td>
        </tr>
      </tfoot>
    </table>
  );
}

function sides({ content }: Quote): Map<string, { name: string; words: string }> {
  return new Map(
    content.lines.map((line) => [
      line.key,
      {
        name: line.name,
        words: [
          `${line.quantity} × ${line.price ?? 'to price'}`,
          line.offPercent && `less ${line.offPercent} %`,
          line.offAmount && `less ${line.offAmount}`,
          line.optional && (line.ticked ? 'chosen' : 'may be chosen'),
        ]
          .filter(Boolean)
          .join(', '),
      },
    ]),
  );
}
