import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, need, type Schema } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { faultsOf } from '../shell/faultsOf';
import { useOnce } from '../shell/useOnce';
import { useUnsaved } from '../shell/useUnsaved';

interface Letter {
  channel: Schema<'MessageChannel'>;
  from: string;
  subject: string;
  text: string;
}

const nothing: Letter = { channel: 'mail', from: '', subject: '', text: '' };

/** Only while stand-ins take the place of a mail server and a gateway: one plays a client who writes. */
export function StandIn() {
  const replies = useQuery({
    queryKey: queryKeys.standIn,
    queryFn: () => need(api.GET('/api/replies', { params: { query: { state: 'open' } } })),
    staleTime: Infinity,
  });
  return replies.data?.standIn ? <PlayAnybody /> : null;
}

function PlayAnybody() {
  const [letter, setLetter, forget] = useUnsaved<Letter>('setup.stand-in', nothing);
  const [came, setCame] = useState<Schema<'Incoming'> | null>(null);
  const queries = useQueryClient();
  const once = useOnce();
  const play = useMutation({
    mutationFn: () => need(api.POST('/api/stand-in/mail', { body: letter })),
    onSuccess: (one) => {
      setCame(one);
      forget();
      setLetter({ ...nothing, channel: letter.channel, from: letter.from });
    },
    onSettled: () => queries.invalidateQueries(),
  });
  const change = (part: Partial<Letter>) => setLetter({ ...letter, ...part });
  const asText = letter.channel === 'text';
  const { beside: fault, other } = faultsOf(play.error);
  return (
    <section className="stand-in" aria-label="Play a client">
      <div className="pillar-head">
        <h2>Play a client</h2>
        <small>the stand-ins take mail and texts; nothing leaves this machine</small>
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          once((done) => play.mutate(undefined, { onSettled: done }));
        }}
      >
        <label>
          They write{' '}
          <select
            value={letter.channel}
            onChange={(event) => change({ channel: event.target.value as Letter['channel'] })}
          >
            <option value="mail">a mail</option>
            <option value="text">a text message</option>
          </select>
        </label>{' '}
        <label>
          from{' '}
          <input
            type={asText ? 'tel' : 'email'}
            value={letter.from}
            maxLength={254}
            placeholder={asText ? 'a number' : 'an address'}
            onChange={(event) => change({ from: event.target.value })}
          />
        </label>
        {fault('from')}
        {!asText && (
          <label className="stand-in-wide">
            Subject{' '}
            <input
              value={letter.subject}
              maxLength={200}
              onChange={(event) => change({ subject: event.target.value })}
            />
          </label>
        )}
        <label className="stand-in-wide">
          Words{' '}
          <textarea
            rows={4}
            value={letter.text}
            maxLength={20_000}
            onChange={(event) => change({ text: event.target.value })}
          />
        </label>
        {fault('text')}
        <button type="submit" disabled={play.isPending || !letter.text.trim() || !letter.from.trim()}>
          {play.isPending ? 'Coming in…' : 'Let it come in'}
        </button>
        {other && (
          <p className="fault" role="alert">
            {other}
          </p>
        )}
      </form>
      {came && (
        <p role="status">
          It came in as{' '}
          {came.submission?.path ? (
            <Link to={came.submission.path}>{came.submission.label}</Link>
          ) : (
            <Link to={`/messages/in/${came.id}`}>a message from {came.fromName}</Link>
          )}
          .
        </p>
      )}
      <p className="second">
        Whole mails are taken in too: put .eml files into the folder mail-in of the data, and they are in within
        seconds. What went out lies in mail and texts beside it.
      </p>
    </section>
  );
}
