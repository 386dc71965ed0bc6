import { useSearchParams } from 'react-router';

/** What is open beside the sheet, in the address: “staff.4f…”, “new.service”; nothing where it is empty. */
export function useShown(): [string, (shown: string | null) => void] {
  const [search, setSearch] = useSearchParams();
  return [
    search.get('show') ?? '',
    (shown) =>
      setSearch(
        (now) => {
          const next = new URLSearchParams(now);
          if (shown) next.set('show', shown);
          else next.delete('show');
          return next;
        },
        { preventScrollReset: true },
      ),
  ];
}
