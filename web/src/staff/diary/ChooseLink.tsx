import Link from '@mui/material/Link';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need } from '../../shared/api';
import { useToast } from '../shell/Toast';
import { useVisitTypes } from './queries';

/** Lets a client choose a time by themselves: a link is mailed, or copied to be sent otherwise. */
export function ChooseLink({ of, id }: { of: 'client' | 'project'; id: string }) {
  const [open, setOpen] = useState(false);
  const setup = useVisitTypes(open);
  const pages = setup.data?.pages.filter((page) => page.live) ?? [];
  const [page, setPage] = useState('');
  const toast = useToast();
  const queries = useQueryClient();
  const make = useMutation({
    mutationFn: (send: boolean) =>
      need(api.POST('/api/diary/links', { body: { page: page || (pages[0]?.slug ?? ''), [of]: id, send } })),
    onSuccess: (made) => {
      if (made.sent) toast({ words: 'The link is on its way by mail.' });
      else toast({ words: 'No mail address is on file. Copy the link instead.' });
      setOpen(made.sent ? false : open);
      void queries.invalidateQueries();
    },
    onError: (error) => toast({ words: error.message }),
  });
  const copy = useMutation({
    mutationFn: () => need(api.POST('/api/diary/links', { body: { page: page || (pages[0]?.slug ?? ''), [of]: id } })),
    onSuccess: async (made) => {
      await navigator.clipboard.writeText(made.address);
      toast({ words: 'The link is copied.' });
    },
    onError: (error) => toast({ words: error.message }),
  });
  if (!open)
    return (
      <p className="second">
        <Link component="button" type="button" onClick={() => setOpen(true)}>
          Let them choose a time
        </Link>
      </p>
    );
  if (setup.data && pages.length === 0)
    return <p className="second">There is no booking page yet. Add one under Diary, Kinds of visit.</p>;
  return (
    <p className="choose-link">
      <select
        aria-label="Booking page"
        value={page || (pages[0]?.slug ?? '')}
        onChange={(event) => setPage(event.target.value)}
      >
        {pages.map((one) => (
          <option key={one.id} value={one.slug}>
            {one.title}
          </option>
        ))}
      </select>{' '}
      <Link component="button" type="button" disabled={make.isPending} onClick={() => make.mutate(true)}>
        Mail the link
      </Link>{' '}
      <Link component="button" type="button" disabled={copy.isPending} onClick={() => copy.mutate()}>
        Copy it
      </Link>
    </p>
  );
}
