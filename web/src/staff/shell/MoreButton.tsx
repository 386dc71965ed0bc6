interface Props {
  list: { hasNextPage: boolean; isFetchingNextPage: boolean; fetchNextPage: () => unknown };
  words?: string;
}

/** Fetches the next page of a list; not there where there is none. */
export function MoreButton({ list, words = 'Show more' }: Props) {
  if (!list.hasNextPage) return null;
  return (
    <button
      type="button"
      className="link-button more"
      disabled={list.isFetchingNextPage}
      onClick={() => void list.fetchNextPage()}
    >
      {list.isFetchingNextPage ? 'Loading…' : words}
    </button>
  );
}
