import type { ReactNode } from 'react';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { RowTable, type Column } from './RowTable';

interface Props<Row> {
  label: string;
  list: {
    isPending: boolean;
    isSuccess: boolean;
    error: Error | null;
    hasNextPage: boolean;
    isFetchingNextPage: boolean;
    refetch: () => unknown;
    fetchNextPage: () => unknown;
  };
  rows: Row[];
  columns: Column<Row>[];
  id: (row: Row) => string;
  path: (row: Row) => string;
  empty: { fact: string; next: ReactNode };
  sorted?: string | undefined;
  onSort?: ((sort: string) => void) | undefined;
}

/** A list as a table, with what it shows while loading, in trouble, and when there is nothing. */
export function ListBody<Row>({ label, list, rows, columns, id, path, empty, sorted, onSort }: Props<Row>) {
  return (
    <>
      {list.isPending && <ComingRows rows={12} />}
      {list.error && (
        <Trouble title="Not loaded" again={() => void list.refetch()}>
          {list.error.message}
        </Trouble>
      )}
      {list.isSuccess && rows.length === 0 && <Empty fact={empty.fact}>{empty.next}</Empty>}
      {rows.length > 0 && (
        <RowTable
          label={label}
          rows={rows}
          columns={columns}
          id={id}
          path={path}
          sorted={sorted}
          onSort={onSort}
          onMore={list.hasNextPage && !list.isFetchingNextPage ? () => void list.fetchNextPage() : undefined}
        />
      )}
    </>
  );
}
