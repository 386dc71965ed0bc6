import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need } from '../../shared/api';
import { Allowed } from '../shell/Allowed';
import { useToast } from '../shell/Toast';

/** “09:00-12:30, 13:00-17:00” as spans; null where something in it is no time. */
function spansOf(text: string): { from: string; to: string }[] | null {
  if (text.trim() === '') return [];
  const spans = text.split(',').map((part) => /^\s*(\d{1,2}:\d{2})\s*(?:-|–|to)\s*(\d{1,2}:\d{2})\s*$/.exec(part));
  if (spans.some((span) => span === null)) return null;
  return spans.map((span) => ({ from: (span?.[1] ?? '').padStart(5, '0'), to: (span?.[2] ?? '').padStart(5, '0') }));
}

/** When somebody works on a day; other hours on that one day are written where they stand. */
export function LaneHours({ staff, name, day, words }: { staff: string; name: string; day: string; words: string }) {
  const [typed, setTyped] = useState<string | null>(null);
  const queries = useQueryClient();
  const toast = useToast();
  const keep = useMutation({
    mutationFn: (spans: { from: string; to: string }[] | null) =>
      need(api.PUT('/api/diary/work-days', { body: { staff, day, spans } })),
    onSuccess: () => {
      setTyped(null);
      toast({ words: `The hours of ${name} on that day are changed.` });
      void queries.invalidateQueries();
    },
    onError: (error) => toast({ words: error.message }),
  });
  if (typed === null)
    return (
      <span className="lane-hours">
        {words}
        <Allowed to="diary.keep">
          {' '}
          <button
            type="button"
            className="link-button"
            aria-label={`Other hours for ${name} on this day`}
            onClick={() => setTyped(words.replaceAll(' to ', '-').replace('not working', ''))}
          >
            change
          </button>
        </Allowed>
      </span>
    );
  const spans = spansOf(typed);
  return (
    <form
      className="lane-hours"
      onSubmit={(event) => {
        event.preventDefault();
        if (spans) keep.mutate(spans);
      }}
    >
      <input
        autoFocus
        aria-label={`Hours of ${name} on this day, empty for a day off`}
        aria-invalid={spans === null}
        value={typed}
        placeholder="a day off"
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => event.key === 'Escape' && setTyped(null)}
      />
      <button type="submit" className="link-button" disabled={spans === null || keep.isPending}>
        save
      </button>{' '}
      <button type="button" className="link-button" onClick={() => keep.mutate(null)}>
        as usual
      </button>
    </form>
  );
}
