import { useRef, useState } from 'react';
import { MarkShape } from '../../shared/Mark';
import type { Schema } from '../../shared/api';
import { ReadFile } from '../shell/ReadFile';
import { LineMore } from './LineMore';
import { useReadUbl, type Content, type Line, type PriceList } from './queries';
import { money } from './states';

interface Props {
  content: Content;
  totals: Schema<'QuoteTotals'>;
  /** Whether the sums are those of a moment ago. */
  old: boolean;
  prices: PriceList | undefined;
  /** Left out where nothing can be changed. */
  onChange: ((content: Content) => void) | undefined;
  violations: { path: string; message: string }[];
  /** Lines for which the price list asks another price, with that. */
  listed: { line: number; price: string }[];
}

const fields = ['quantity', 'price', 'offPercent', 'rate'] as const;

/** The lines: every value is changed where it stands. Tab walks a row, Enter goes down, Alt ↑↓ moves it. */
export function LineRows({ content, totals, old, prices, onChange, violations, listed }: Props) {
  const { lines } = content;
  const body = useRef<HTMLTableElement>(null);
  const set = (i: number, next: Partial<Line>) =>
    onChange?.({ ...content, lines: lines.map((line, at) => (at === i ? { ...line, ...next } : line)) });
  const wrong = (i: number, of: string) =>
    violations.find((one) => one.path.replace(/^content\./, '').startsWith(`lines.${i}.${of}`))?.message;
  const move = (i: number, by: number) => {
    const to = i + by;
    if (to < 0 || to >= lines.length) return;
    const next = [...lines];
    const [line] = next.splice(i, 1);
    if (line) next.splice(to, 0, line);
    onChange?.({ ...content, lines: next });
  };
  const down = (event: React.KeyboardEvent, i: number, field: string) => {
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      event.preventDefault();
      move(i, event.key === 'ArrowUp' ? -1 : 1);
    } else if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      body.current?.querySelector<HTMLElement>(`[data-at="${i + 1} ${field}"]`)?.focus();
    }
  };
  const remove = (i: number) =>
    onChange?.({
      ...content,
      lines: lines
        .filter((_, at) => at !== i)
        .map((line) => (line.instead === lines[i]?.key ? { ...line, instead: '' } : line)),
    });
  const value = (line: Line, field: (typeof fields)[number]) =>
    field === 'rate' ? line.vat.rate : field === 'price' ? (line.price ?? '') : (line[field] ?? '');
  const write = (i: number, line: Line, field: (typeof fields)[number], text: string) =>
    set(
      i,
      field === 'rate'
        ? { vat: { ...line.vat, rate: text } }
        : { [field]: text === '' && field !== 'quantity' ? null : text },
    );
  return (
    <div className="quote-lines">
      <table ref={body}>
        <thead>
          <tr>
            <th />
            <th>The lines</th>
            <th className="right">quantity</th>
            <th className="right">each</th>
            <th className="right">off %</th>
            <th className="right">VAT %</th>
            <th className="right">{totals.lines.length > 0 ? 'sum' : ''}</th>
          </tr>
        </thead>
        {lines.map((line, i) => {
          const toPrice = line.price === null;
          const hint = wrong(i, '');
          return (
            <tbody key={line.key} className="line">
              {line.group && line.group !== lines[i - 1]?.group && (
                <tr className="group">
                  <td />
                  <td colSpan={6} className="serif">
                    {line.group}
                  </td>
                </tr>
              )}
              <tr className={toPrice ? 'to-price' : ''}>
                <td className="serif number">{i + 1}</td>
                <td className="named">
                  <div>
                    {(line.optional || line.instead) && (
                      <input
                        type="checkbox"
                        aria-label={`Line ${i + 1} is ticked for the client`}
                        checked={line.ticked ?? false}
                        disabled={!onChange}
                        onChange={(event) => set(i, { ticked: event.target.checked })}
                      />
                    )}
                    {line.instead && <i className="serif">or </i>}
                    {onChange ? (
                      <input
                        className="value name"
                        aria-label={`Line ${i + 1}`}
                        value={line.name}
                        maxLength={200}
                        onKeyDown={(event) => down(event, i, 'name')}
                        data-at={`${i} name`}
                        onChange={(event) => set(i, { name: event.target.value })}
                      />
                    ) : (
                      line.name
                    )}
                    {toPrice && (
                      <span className="mark choose">
                        <MarkShape kind="choose" /> to price
                      </span>
                    )}
                  </div>
                </td>
                {fields.map((field) => (
                  <td key={field} className="right">
                    {onChange ? (
                      <input
                        className="value figures"
                        inputMode="decimal"
                        aria-label={`${{ quantity: 'Quantity', price: 'Price of one', offPercent: 'Percent off', rate: 'VAT rate' }[field]}, line ${i + 1}`}
                        aria-invalid={wrong(i, field === 'rate' ? 'vat' : field) ? true : undefined}
                        placeholder={field === 'price' ? 'price' : ''}
                        value={value(line, field)}
                        data-at={`${i} ${field}`}
                        data-path={
                          field === 'price' ? `lines.${i}.price` : field === 'rate' ? `lines.${i}.vat` : undefined
                        }
                        onKeyDown={(event) => down(event, i, field)}
                        onChange={(event) => write(i, line, field, event.target.value.trim())}
                      />
                    ) : (
                      value(line, field)
                    )}
                  </td>
                ))}
                <td className={old ? 'right figures old' : 'right figures'}>
                  {toPrice ? '' : money(totals.lines[i] ?? '0')}
                </td>
              </tr>
              {onChange && (
                <LineMore
                  content={content}
                  at={i}
                  line={line}
                  prices={prices}
                  listed={listed.find((one) => one.line === i)?.price}
                  hint={hint}
                  onSet={(next) => set(i, next)}
                  onRemove={() => remove(i)}
                />
              )}
            </tbody>
          );
        })}
      </table>
      {onChange && <AddLine content={content} prices={prices} onChange={onChange} />}
    </div>
  );
}

/** Another line: a code or a word of the price list, or anything else, which is then to price. */
function AddLine({
  content,
  prices,
  onChange,
}: {
  content: Content;
  prices: PriceList | undefined;
  onChange: (content: Content) => void;
}) {
  const [text, setText] = useState('');
  const ubl = useReadUbl();
  const take = (xml: string) =>
    ubl.mutate(xml, {
      onSuccess: ({ lines }) => {
        const stamp = Date.now().toString(36);
        onChange({
          ...content,
          lines: [...content.lines, ...lines.map((line, i) => ({ ...line, key: `u${stamp}${i}` }))],
        });
      },
    });
  const add = () => {
    const wanted = text.trim();
    if (wanted === '') return;
    const item = prices?.items.find(
      (one) =>
        one.offered &&
        (one.code.toLowerCase() === wanted.toLowerCase() ||
          `${one.code} ${one.name}` === wanted ||
          one.name.toLowerCase() === wanted.toLowerCase()),
    );
    const line: Line = {
      key: `n${Date.now().toString(36)}`,
      code: item?.code ?? '',
      name: item?.name ?? wanted,
      text: item?.text ?? '',
      quantity: '1',
      unit: item?.unit ?? 'C62',
      price: item?.price ?? null,
      offPercent: null,
      offAmount: null,
      vat: item?.vat ?? prices?.setup.vat ?? { category: 'S', rate: '23' },
      group: item?.group ?? content.lines.at(-1)?.group ?? '',
      optional: false,
      ticked: false,
      instead: '',
      from: '',
    };
    onChange({ ...content, lines: [...content.lines, line] });
    setText('');
  };
  return (
    <form
      className="quote-add"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <span aria-hidden>+</span>
      <input
        className="value"
        aria-label="Add a line"
        placeholder="Add a line: a code or a word of the price list, or anything"
        list="price-list"
        maxLength={200}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <datalist id="price-list">
        {prices?.items
          .filter((one) => one.offered)
          .map((one) => (
            <option key={one.id} value={`${one.code} ${one.name}`} />
          ))}
      </datalist>
      <button type="submit" className="link-button" disabled={text.trim() === ''}>
        Add
      </button>
      <ReadFile plain label="Read a supplier’s UBL" accept=".xml,application/xml,text/xml" onText={take} />
      {ubl.error && (
        <span className="staff-field-error" role="alert">
          {ubl.error.message}
        </span>
      )}
    </form>
  );
}
