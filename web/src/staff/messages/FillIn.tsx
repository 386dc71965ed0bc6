import { ProblemError, type Schema } from '../../shared/api';
import { MarkShape } from '../../shared/Mark';
import { useToast } from '../shell/Toast';
import { useOnce } from '../shell/useOnce';
import { useUnsaved } from '../shell/useUnsaved';
import { useFill } from './queries';

interface Filled {
  words: Record<string, string>;
  out: Record<string, boolean>;
}

/** What stands where nothing could be filled in: words, or the sentence is left out. */
export function FillIn({ message }: { message: Schema<'Message'> }) {
  const [{ words, out }, set, forget] = useUnsaved<Filled>(`fill.${message.id}`, { words: {}, out: {} });
  const fill = useFill();
  const once = useOnce();
  const toast = useToast();
  const ready = message.gaps.every((gap) => out[gap.name] || words[gap.name]?.trim());
  const send = () => {
    if (!ready) return;
    const said = Object.fromEntries(
      message.gaps.map((gap) => [gap.name, out[gap.name] ? '' : (words[gap.name] ?? '')]),
    );
    once((done) =>
      fill.mutate(
        { id: message.id, words: said },
        {
          onSettled: done,
          onSuccess: () => {
            forget();
            toast({ words: `On its way to ${message.toName}` });
          },
        },
      ),
    );
  };
  return (
    <form
      className="fill-in"
      aria-label="Fill the gap"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <p>
        <MarkShape kind="choose" /> <b>Fill the gap</b> {message.failure} It waits until you say what stands there.
      </p>
      {message.gaps.map((gap) => (
        <p key={gap.name} className="fill-row">
          <label>
            <span>{gap.label}</span>
            <input
              value={words[gap.name] ?? ''}
              disabled={out[gap.name] ?? false}
              maxLength={500}
              onChange={(event) => set({ out, words: { ...words, [gap.name]: event.target.value } })}
            />
          </label>
          <label>
            <input
              type="checkbox"
              checked={out[gap.name] ?? false}
              onChange={(event) => set({ words, out: { ...out, [gap.name]: event.target.checked } })}
            />{' '}
            leave the sentence out
          </label>
        </p>
      ))}
      <button type="submit" disabled={!ready || fill.isPending}>
        {fill.isPending ? 'Sending…' : 'Fill in and send'}
      </button>
      {fill.error && (
        <p className="fault" role="alert">
          {fill.error instanceof ProblemError
            ? (fill.error.violations[0]?.message ?? fill.error.message)
            : fill.error.message}
        </p>
      )}
    </form>
  );
}
