import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Trouble } from '../../shared/Notice';
import { LinkPage } from '../LinkPage';
import { VisitFacts } from './Booked';
import { BookingFrame } from './BookingFrame';
import { Choosing, useZone } from './Choosing';
import { useVisit, useVisitActs, useVisitTimes, type Visit } from './queries';
import { visitWords, whenWords } from './times';

/** The page of one visit, by the link in its mail: move it, cancel it, say yes, or ask once it is too late for that. */
export function VisitApp({ token }: { token: string }) {
  const visit = useVisit(token);
  if (visit.data) return <TheVisit visit={visit.data} token={token} />;
  return <LinkPage query={visit} failed="The visit could not be loaded" />;
}

const words = {
  booked: { mark: 'done', word: 'booked' },
  offered: { mark: 'waiting', word: 'kept for you' },
  held: { mark: 'done', word: 'done' },
  missed: { mark: 'stopped', word: 'missed' },
  cancelled: { mark: 'stopped', word: 'cancelled' },
} as const;

function TheVisit({ visit, token }: { visit: Visit; token: string }) {
  const { move, cancel, yes, wish } = useVisitActs(token);
  const [doing, setDoing] = useState<'nothing' | 'moving' | 'cancelling'>('nothing');
  const [ask, setAsk] = useState('');
  const [zone] = useZone(visit.zone);
  const state = words[visit.visit.state];
  const trouble = [move, cancel, yes, wish].find((one) => one.error)?.error;
  const changeable = visit.open;
  const stands = visit.visit.state === 'booked' || visit.visit.state === 'offered';
  const isOver = visit.over;
  return (
    <BookingFrame business={visit.business} title={visit.visit.title}>
      <main className="visit">
        <Mark kind={state.mark}>{state.word}</Mark>
        <h1>{visitWords(visit.visit, zone)}</h1>
        <VisitFacts visit={visit.visit} />
        {visit.visit.state === 'offered' && visit.until && (
          <div className="visit-offer">
            <p>The time is kept for you until {whenWords(visit.until, 0, visit.zone).replace(/ to .*/, '')}.</p>
            <Button variant="contained" disabled={yes.isPending} onClick={() => yes.mutate()}>
              Yes, that suits me
            </Button>
          </div>
        )}
        {stands && !isOver && (
          <p className="visit-acts">
            {visit.visit.state === 'booked' && (
              <a href={`/api/public/visits/${token}/calendar.ics`} download>
                Put it into your calendar
              </a>
            )}
            {changeable && visit.movable && doing !== 'moving' && (
              <button type="button" className="link" onClick={() => setDoing('moving')}>
                Choose another time
              </button>
            )}
            {changeable && doing !== 'cancelling' && (
              <button type="button" className="link" onClick={() => setDoing('cancelling')}>
                Cancel it
              </button>
            )}
          </p>
        )}
        {trouble && (
          <Trouble title={trouble instanceof ProblemError ? trouble.title : 'Not done'}>{trouble.message}</Trouble>
        )}
        {doing === 'cancelling' && changeable && (
          <div className="visit-ask">
            <p>
              Cancel {visit.visit.title} on {visitWords(visit.visit, zone)}?
            </p>
            <Button
              variant="contained"
              disabled={cancel.isPending}
              onClick={() => cancel.mutate(undefined, { onSuccess: () => setDoing('nothing') })}
            >
              Yes, cancel it
            </Button>{' '}
            <button type="button" className="link" onClick={() => setDoing('nothing')}>
              Leave it as it is
            </button>
          </div>
        )}
        {doing === 'moving' && changeable && (
          <Moving
            visit={visit}
            token={token}
            onMove={(at) => move.mutate(at, { onSuccess: () => setDoing('nothing') })}
            moving={move.isPending}
          />
        )}
        {stands && !changeable && !isOver && (
          <Late
            {...{ visit, ask, setAsk }}
            sending={wish.isPending}
            onSend={() => wish.mutate(ask, { onSuccess: () => setAsk('') })}
          />
        )}
        {visit.visit.state === 'cancelled' && (
          <p>
            This was cancelled. If you would like another time, ring us
            {visit.business.phone ? ` on ${visit.business.phoneText}` : ''}.
          </p>
        )}
      </main>
    </BookingFrame>
  );
}

function Moving({
  visit,
  token,
  onMove,
  moving,
}: {
  visit: Visit;
  token: string;
  onMove: (at: string) => void;
  moving: boolean;
}) {
  const [from, setFrom] = useState<string[]>([]);
  const [chosen, setChosen] = useState('');
  const [zone, setZone] = useZone(visit.zone);
  const times = useVisitTimes(token, from.at(-1) ?? '', true);
  return (
    <section className="visit-move">
      <h2>Choose another time</h2>
      <Choosing
        times={times.data}
        error={times.error}
        again={() => void times.refetch()}
        fetching={times.isPlaceholderData}
        chosen={chosen}
        gone=""
        onChoose={setChosen}
        onLater={(day) => setFrom([...from, day])}
        earlier={from.length > 0 ? () => setFrom(from.slice(0, -1)) : null}
        zone={zone}
        onZone={setZone}
      />
      <div className="visit-offer">
        <p role="status">
          {chosen ? whenWords(chosen, times.data?.length ?? 60, zone) : 'Nothing is chosen yet; your time stays.'}
        </p>
        <Button variant="contained" disabled={!chosen || moving} onClick={() => onMove(chosen)}>
          Move it there
        </Button>
      </div>
    </section>
  );
}

/** The notice is over: what should be changed goes to a person. */
function Late({
  visit,
  ask,
  setAsk,
  sending,
  onSend,
}: {
  visit: Visit;
  ask: string;
  setAsk: (words: string) => void;
  sending: boolean;
  onSend: () => void;
}) {
  const hours = Math.round(visit.notice / 60);
  if (visit.wish)
    return (
      <p role="status">
        <b>{visit.coordinator} has your message:</b> “{visit.wish}”. You will hear from us.
      </p>
    );
  return (
    <form
      className="visit-ask"
      onSubmit={(event) => {
        event.preventDefault();
        if (ask.trim()) onSend();
      }}
    >
      <label htmlFor="visit-wish">
        <b>It is less than {hours === 1 ? 'an hour' : `${hours} hours`} away.</b> Write to {visit.coordinator}, or ring
        us:
      </label>
      <textarea
        id="visit-wish"
        rows={3}
        maxLength={2000}
        value={ask}
        onChange={(event) => setAsk(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={sending || !ask.trim()}>
        Send
      </Button>
    </form>
  );
}
