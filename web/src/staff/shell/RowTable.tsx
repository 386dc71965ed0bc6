import { useEffect, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useKey } from '../keys';
import './row-table.css';

export interface Column<Row> {
  name: string;
  right?: boolean;
  /** What the list is asked to sort by when the head is pressed. */
  sort?: string;
  /** Whether it falls when the head is first pressed: the newest, the last. */
  falling?: boolean;
  /** Left out on a narrow screen. */
  wide?: boolean;
  cell: (row: Row) => ReactNode;
}

interface Props<Row> {
  label: string;
  rows: Row[];
  columns: Column<Row>[];
  id: (row: Row) => string;
  path: (row: Row) => string;
  onMore: (() => void) | undefined;
  /** What it is sorted by, with a minus before it the other way round. */
  sorted?: string | undefined;
  onSort?: ((sort: string) => void) | undefined;
}

/** A long list as a table: arrows walk, Enter opens, more rows come when its end comes into sight. */
export function RowTable<Row>({ label, rows, columns, id, path, onMore, sorted = '', onSort }: Props<Row>) {
  const [at, setAt] = useState(-1);
  const navigate = useNavigate();
  const body = useRef<HTMLTableSectionElement>(null);
  const end = useRef<HTMLDivElement>(null);
  const go = (to: number) => {
    const next = Math.max(0, Math.min(rows.length - 1, to));
    setAt(next);
    body.current?.rows[next]?.querySelector('a')?.focus();
  };
  useKey('next', rows.length > 0 ? () => go(at + 1) : undefined);
  useKey('previous', rows.length > 0 ? () => go(at - 1) : undefined);
  const more = useRef(onMore);
  useEffect(() => {
    more.current = onMore;
  });
  useEffect(() => {
    const element = end.current;
    if (!element) return undefined;
    const observer = new IntersectionObserver((entries) => {
      if (entries.some((entry) => entry.isIntersecting)) more.current?.();
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, [rows.length]);
  return (
    <>
      <table className="row-table" aria-label={label}>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column.name} scope="col" className={names(column)} aria-sort={order(column, sorted)}>
                {column.sort && onSort ? (
                  <button type="button" className="sort" onClick={() => onSort(turned(column, sorted))}>
                    {column.name}
                    <span aria-hidden="true">
                      {sorted === column.sort ? ' ↑' : sorted === `-${column.sort}` ? ' ↓' : ''}
                    </span>
                  </button>
                ) : (
                  column.name
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody ref={body}>
          {rows.map((row, i) => (
            <tr
              key={id(row)}
              className={i === at ? 'chosen' : undefined}
              onFocus={() => setAt(i)}
              onClick={(event) => {
                if (!(event.target instanceof Element && event.target.closest('a'))) void navigate(path(row));
              }}
            >
              {columns.map((column) => (
                <td key={column.name} className={names(column)}>
                  {column.cell(row)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div ref={end}>
        {onMore && (
          <button type="button" className="link-button more" onClick={onMore}>
            Show more
          </button>
        )}
      </div>
    </>
  );
}

/** What the list is asked to sort by next. */
function turned<Row>({ sort = '', falling = false }: Column<Row>, sorted: string): string {
  const [first, second] = falling ? [`-${sort}`, sort] : [sort, `-${sort}`];
  return sorted === first ? second : first;
}

function order<Row>(column: Column<Row>, sorted: string): 'ascending' | 'descending' | undefined {
  if (!column.sort) return undefined;
  return sorted === column.sort ? 'ascending' : sorted === `-${column.sort}` ? 'descending' : undefined;
}

function names<Row>(column: Column<Row>): string | undefined {
  return [column.right ? 'right' : '', column.wide ? 'wide-only' : ''].filter(Boolean).join(' ') || undefined;
}
