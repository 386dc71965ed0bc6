import type { Line } from './queries';

interface Props {
  lines: Line[];
  nets: string[];
  ticked: string[];
  /** Left out where nothing can be chosen any more. */
  onTick: ((ticked: string[]) => void) | undefined;
}

/** The lines under their heads; what may be chosen has its box, what stands for another its ring. */
export function QuoteLines({ lines, nets, ticked, onTick }: Props) {
  const groups = lines.reduce<{ name: string; lines: { line: Line; i: number }[] }[]>((all, line, i) => {
    const last = all.at(-1);
    if (last?.name === line.group) last.lines.push({ line, i });
    else all.push({ name: line.group, lines: [{ line, i }] });
    return all;
  }, []);
  const rates = new Set(lines.map((line) => line.rate)).size;
  const tick = (line: Line) => {
    const others = line.place === '' ? [] : lines.filter((one) => one.place === line.place).map((one) => one.key);
    const without = ticked.filter((key) => key !== line.key && !others.includes(key));
    onTick?.(ticked.includes(line.key) && line.place === '' ? without : [...without, line.key]);
  };
  return groups.map((group, at) => (
    <section key={`${group.name}${at}`} className="quote-group">
      <h2>{group.name || 'The work'}</h2>
      <ul>
        {group.lines.map(({ line, i }) => {
          const on = !line.choice || ticked.includes(line.key);
          const body = (
            <>
              <span className="quote-name">
                <b>
                  {line.place !== '' && line.place !== line.key && <i className="serif">or </i>}
                  {line.name}
                </b>
                {(Number(line.quantity) !== 1 || line.off !== '') && (
                  <span className="second">
                    {' '}
                    {line.quantity.replace(/(\.\d*?)0+$/, '$1').replace(/\.$/, '')} {line.unit}, {line.price} each
                    {line.off && `, ${line.off}`}
                  </span>
                )}
                {rates > 1 && <span className="second"> VAT {line.rate}</span>}
                {line.text && <span className="second quote-text">{line.text}</span>}
              </span>
              <span className="figures">{nets[i] ?? line.net}</span>
            </>
          );
          return (
            <li key={line.key} className={on ? '' : 'off'}>
              <span className="serif quote-number" aria-hidden>
                {i + 1}
              </span>
              {line.choice ? (
                <label>
                  <input
                    type={line.place === '' ? 'checkbox' : 'radio'}
                    name={line.place || line.key}
                    checked={on}
                    disabled={!onTick}
                    onChange={() => tick(line)}
                  />
                  {body}
                </label>
              ) : (
                <div>{body}</div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  ));
}
