import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useRef, useState } from 'react';
import { count } from '../../shared/numbers';
import { useSignedIn } from '../session';
import { forget, take, usePhotographs, useSendPhotographs } from './photographs';
import './photographs.css';

/** Takes photographs for a project; without a signal they wait on this phone and are counted. */
export function Photographs({ project }: { project: string }) {
  const input = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const { user } = useSignedIn();
  const [error, setError] = useState('');
  const [busy, setBusy] = useState(false);
  const waiting = usePhotographs().filter((one) => one.project === project && one.staff === user.id);
  const open = waiting.filter((one) => !one.refused);
  return (
    <div className="photographs">
      <button type="button" className="photograph" disabled={busy} onClick={() => input.current?.click()}>
        {busy ? 'Keeping…' : 'Photograph'}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        hidden
        aria-label="Photographs for this project"
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length === 0) return;
          setBusy(true);
          setError('');
          take(user.id, project, files)
            .then(() => queries.invalidateQueries())
            .catch(() => setError('This browser cannot keep it. Add it to the project’s files instead.'))
            .finally(() => setBusy(false));
        }}
      />
      {open.length > 0 && <span role="status">{count(open.length, 'photograph')} for a signal</span>}
      {error && <p role="alert">{error}</p>}
      {waiting
        .filter((one) => one.refused)
        .map((one) => (
          <p key={one.id} role="alert">
            {one.name} is not taken: {one.refused}{' '}
            <a href={URL.createObjectURL(new Blob([one.bytes], { type: one.type }))} download={one.name}>
              Save it
            </a>{' '}
            <button type="button" className="link-button" onClick={() => void forget(one.id)}>
              Remove
            </button>
          </p>
        ))}
    </div>
  );
}

/** Sends what waits, wherever in the office one is, and says how many wait. */
export function PhotographsWaiting() {
  const queries = useQueryClient();
  const { user } = useSignedIn();
  const sent = useCallback(() => void queries.invalidateQueries(), [queries]);
  useSendPhotographs(user.id, sent);
  const open = usePhotographs().filter((one) => !one.refused && one.staff === user.id).length;
  return open > 0 ? (
    <p className="photographs-waiting" role="status">
      {count(open, 'photograph')} {open === 1 ? 'waits' : 'wait'} for a signal on this phone. They are sent by
      themselves.
    </p>
  ) : null;
}
