import { useSyncExternalStore } from 'react';
import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { when } from '../../shared/words';
import { useToday } from './day';
import { drafts } from './drafts';
import { onClash } from './draftSync';

/** Says who else is changing the same and has not saved yet. */
export function AlsoWriting({ name }: { name: string }) {
  const today = useToday();
  const asks = useSyncExternalStore(onClash, drafts.isActive);
  const others = useQuery({
    queryKey: ['draft-others', name],
    queryFn: () => need(api.GET('/api/drafts/{name}', { params: { path: { name } } })),
    enabled: asks,
    refetchInterval: 30_000,
  });
  const first = others.data?.others[0];
  if (!first) return null;
  const at = when(first.at, today);
  const more = (others.data?.others.length ?? 1) - 1;
  return (
    <p className="second also-writing" role="status">
      {first.who}
      {more > 0 && ` and ${more} more`} {more > 0 ? 'have' : 'has'} begun to change this too, last {at}, and not saved
      it.
    </p>
  );
}
