import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { ComingRows, Trouble } from '../../shared/Notice';

interface Props<T> {
  title: string;
  small?: ReactNode;
  list: Pick<UseQueryResult<{ items: T[]; next?: string | null }>, 'data' | 'error' | 'isPending' | 'refetch'>;
  /** What is said where there are none. */
  empty: ReactNode;
  children: (items: T[]) => ReactNode;
}

/** A list of one area on the page of a record: its head, and what it has; loading, failing or empty in its place. */
export function SectionRows<T>({ title, small, list, empty, children }: Props<T>) {
  return (
    <>
      <div className="section-head">
        <h2>{title}</h2>
        <small>{small}</small>
      </div>
      {list.isPending && <ComingRows rows={2} />}
      {list.error && (
        <Trouble title="Not loaded" again={() => void list.refetch()}>
          {list.error.message}
        </Trouble>
      )}
      {list.data?.items.length === 0 && empty}
      {list.data && list.data.items.length > 0 && children(list.data.items)}
      {list.data?.next && <p className="second">The newest {list.data.items.length} are shown.</p>}
    </>
  );
}
