import { Link } from 'react-router';
import type { FollowUp, Step } from './queries';
import { daysSince, percent, type Pins, type Post } from './profile';
import { kindWords } from './series';

interface PinsProps {
  group: Pins<FollowUp['runs'][number]>;
  now: string;
  isOpen: boolean;
  onOpen: (first: string | null) => void;
}

/** Somebody who stands there opens; of several who stand close, their names do. */
export function PinsAt({ group, now, isOpen, onOpen }: PinsProps) {
  const [first] = group.people;
  if (!first) return null;
  if (group.people.length === 1) {
    const words = `${first.client.label}, day ${Math.floor(daysSince(first.startedAt, now))}`;
    return (
      <Link
        to={`/clients/${first.client.id}`}
        className="profile-pin"
        style={{ left: group.from - 12, width: 24 }}
        aria-label={words}
        title={words}
      />
    );
  }
  const words = `${group.people.length} people: ${group.people.map((each) => each.client.label).join(', ')}`;
  return (
    <button
      type="button"
      className="profile-pin"
      style={{ left: group.from - 12, width: group.to - group.from + 24 }}
      aria-expanded={isOpen}
      aria-label={words}
      title={words}
      onClick={() => onOpen(isOpen ? null : first.id)}
    />
  );
}

interface LabelProps {
  post: Post;
  step: Step | undefined;
  chosen: boolean;
  number: string;
  figure: FollowUp['figures'][number] | undefined;
  words: (step: Step) => string;
  name: (step: Step) => string;
  onChoose: (key: string) => void;
}

/** What stands above a post: its number and name, by what it goes, and what came of it. */
export function PostLabel({ post, step, chosen, number, figure, words, name, onChoose }: LabelProps) {
  if (!step) return null;
  const way =
    step.kind === 'send'
      ? step.asText
        ? 'text'
        : 'mail'
      : step.kind === 'times' || step.kind === 'form' || step.kind === 'quote'
        ? step.kind
        : kindWords[step.kind].replace('give the ', '');
  const back = figure ? figure.answered + figure.booked + figure.forms : 0;
  return (
    <button
      type="button"
      className={chosen ? 'profile-step chosen' : 'profile-step'}
      style={{ left: post.x, maxWidth: post.room }}
      title={words(step)}
      onClick={() => onChoose(step.key)}
    >
      <span>
        <b className="figures">{number}</b> {post.room > 50 && <b>{name(step)}</b>}
      </span>
      {post.room > 50 && (
        <>
          <span>
            {way}
            {figure && `, ${figure.done} ${step.kind === 'send' ? 'sent' : figure.done === 1 ? 'time' : 'times'}`}
          </span>
          <span>{figure && figure.done > 0 && `${back} back, ${percent(back / figure.done)}`}</span>
        </>
      )}
    </button>
  );
}
