import { useSearchParams } from 'react-router';

/** What a screen is narrowed by, kept in its address: read, and set one at a time without a step of the way back. */
export function useAddress(): [URLSearchParams, (key: string, value: string) => void] {
  const [search, setSearch] = useSearchParams();
  const set = (key: string, value: string) =>
    setSearch(
      (old) => {
        if (value === '') old.delete(key);
        else old.set(key, value);
        return old;
      },
      { replace: true },
    );
  return [search, set];
}
