import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useOnce } from '../shell/useOnce';
import { usePlayClient } from './incoming';

/** With the stand-in mailbox there is nobody outside: one answers oneself, and sees what comes of it. */
export function PlayClient({ message, name }: { message: string; name: string }) {
  const [text, setText] = useState('');
  const play = usePlayClient();
  const navigate = useNavigate();
  const once = useOnce();
  const send = () => {
    if (!text.trim()) return;
    once((done) =>
      play.mutate(
        { message, text },
        { onSettled: done, onSuccess: (came) => void navigate(`/messages/in/${came.id}`) },
      ),
    );
  };
  return (
    <details className="play-client">
      <summary>Try it: answer as {name || 'the client'}</summary>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          send();
        }}
      >
        <textarea
          aria-label="What they write"
          rows={3}
          value={text}
          maxLength={20_000}
          onChange={(event) => setText(event.target.value)}
        />
        <p className="second">The stand-in mailbox takes it in as from outside. A real mail server has no such page.</p>
        <button type="submit" disabled={play.isPending || !text.trim()}>
          {play.isPending ? 'Coming in…' : 'Let it come in'}
        </button>
        {play.error && (
          <p className="fault" role="alert">
            {play.error.message}
          </p>
        )}
      </form>
    </details>
  );
}
