import { useEffect, useSyncExternalStore } from 'react';
import { when } from '../../shared/words';
import { useToday } from './day';
import { beginDrafts, keepMine, onClash, openClashes, putBack, takeOther, type Clash } from './draftSync';
import { useToast } from './Toast';
import './drafts-stand.css';

const things: Record<string, string> = {
  write: 'a letter',
  quote: 'a quote',
  'quotes.setup': 'how you quote',
  price: 'a price',
  template: 'a template',
  'follow-up': 'a follow-up',
  'kind-of-visit': 'a kind of visit',
  'booking-page': 'a booking page',
  rule: 'a rule',
  checklist: 'a checklist',
  inquiry: 'an inquiry',
  notice: 'a notice',
  task: 'a task',
  project: 'a project',
  client: 'a client',
};

/** The longest words in what was typed, by which it is known again. */
function excerpt(value: unknown): string {
  if (typeof value === 'string') return value.trim();
  if (typeof value !== 'object' || value === null) return '';
  return Object.entries(value)
    .filter(([key]) => key !== 'id' && key !== 'base')
    .map(([, one]) => excerpt(one))
    .reduce((longest, one) => (one.length > longest.length ? one : longest), '');
}

/** Keeps what is typed on the server, and asks where it was typed in two places at once. */
export function DraftsStand({ staff }: { staff: string }) {
  useEffect(() => beginDrafts(staff), [staff]);
  const clash = useSyncExternalStore(onClash, openClashes)[0];
  return clash ? <Asked key={`${clash.name} ${clash.revision}`} clash={clash} /> : null;
}

function Asked({ clash }: { clash: Clash }) {
  const toast = useToast();
  const today = useToday();
  const thing = things[clash.name] ?? things[clash.name.split('.')[0] ?? ''] ?? 'something';
  const words = excerpt(clash.value);
  return (
    <div className="drafts-stand" role="alertdialog" aria-label={`You wrote ${thing} in two places`}>
      <p>
        You wrote <b>{thing}</b> in another place too, {when(clash.at, today)}. Neither is lost.
      </p>
      {words && <blockquote className="serif">{words.length > 160 ? `${words.slice(0, 160)} …` : words}</blockquote>}
      <button type="button" className="link-button" onClick={() => keepMine(clash)}>
        Go on with what stands here
      </button>{' '}
      <button
        type="button"
        className="link-button"
        onClick={() => {
          const mine = takeOther(clash);
          toast({
            words: 'The other one stands here now.',
            action: { label: 'Back to mine', shown: '', act: () => putBack(clash.name, mine) },
          });
        }}
      >
        Take the other one
      </button>
    </div>
  );
}
