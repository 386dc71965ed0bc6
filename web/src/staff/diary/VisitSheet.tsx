import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { ProblemError } from '../../shared/api';
import { Mark, type MarkKind } from '../../shared/Mark';
import { ComingRows, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { clockTime, longDay } from '../../shared/words';
import { Allowed } from '../shell/Allowed';
import { useToday } from '../shell/day';
import { Journal } from '../shell/Journal';
import { RecordFiles } from '../shell/RecordFiles';
import { StaffField } from '../shell/StaffField';
import { movesNothing, Told } from '../shell/TasksMove';
import { useToast } from '../shell/Toast';
import { useAppointment, useKeepDiary, useTimeLooked, type Diary, type Visit } from './queries';
import { dayOf, minuteOf, momentOf } from './weeks';

const states: Record<Visit['state'], { mark: MarkKind; word: string }> = {
  offered: { mark: 'waiting', word: 'no yes yet' },
  booked: { mark: 'new', word: 'booked' },
  held: { mark: 'done', word: 'held' },
  missed: { mark: 'stopped', word: 'missed' },
  cancelled: { mark: 'stopped', word: 'cancelled' },
};

/** One visit: when, where, with whom, whom to ring, what was written, and what can be done with it. */
export function VisitSheet({ id, diary, onClose }: { id: string; diary: Diary | undefined; onClose: () => void }) {
  const visit = useAppointment(id);
  if (visit.error)
    return (
      <Trouble title="Not loaded" again={() => void visit.refetch()}>
        {visit.error.message}
      </Trouble>
    );
  if (!visit.data) return <ComingRows rows={4} />;
  return <Sheet key={`${visit.data.id} ${visit.data.version}`} visit={visit.data} diary={diary} onClose={onClose} />;
}

function Sheet({ visit, diary, onClose }: { visit: Visit; diary: Diary | undefined; onClose: () => void }) {
  const { mark } = useKeepDiary();
  const toast = useToast();
  const [moving, setMoving] = useState(false);
  const state = states[visit.state];
  const set = (to: 'booked' | 'held' | 'missed' | 'cancelled', words: string) =>
    mark.mutate(
      { id: visit.id, state: to },
      { onSuccess: () => toast({ words }), onError: (error) => toast({ words: error.message }) },
    );
  const begun = diary ? visit.startsAt <= diary.now : false;
  const stands = visit.state === 'booked' || visit.state === 'offered';
  return (
    <article className="visit-sheet">
      <p className="visit-sheet-head">
        <Mark kind={state.mark}>{state.word}</Mark>
        <button type="button" className="link-button" onClick={onClose}>
          Close
        </button>
      </p>
      <h3>{visit.who || visit.title}</h3>
      <p>
        <b>
          {longDay(dayOf(visit.startsAt))}, {clockTime(visit.startsAt)} to {clockTime(visit.endsAt)}
          {visit.movedFrom && (
            <>
              {'; moved, was '}
              <s>
                {longDay(dayOf(visit.movedFrom))}, {clockTime(visit.movedFrom)}
              </s>
            </>
          )}
        </b>
        <br />
        {visit.title}, {[visit.staff, ...visit.also].map((one) => one.name).join(' and ')}
        {visit.place && (
          <>
            <br />
            {visit.place}
          </>
        )}
      </p>
      {visit.wish && (
        <p className="visit-wish" role="note">
          <b>The client asks:</b> “{visit.wish}”
        </p>
      )}
      <dl className="visit-lines">
        {visit.phone && (
          <div>
            <dt>Ring</dt>
            <dd>
              <a href={`tel:${visit.phone}`}>{visit.phoneText}</a>
            </dd>
          </div>
        )}
        {visit.email && (
          <div>
            <dt>Write</dt>
            <dd>{visit.email}</dd>
          </div>
        )}
        {(
          [
            ['Client', visit.client],
            ['Project', visit.project],
            ['From', visit.submission],
          ] as const
        ).map(([label, record]) =>
          record?.path ? (
            <div key={label}>
              <dt>{label}</dt>
              <dd>
                <Link to={record.path}>{record.label}</Link>
              </dd>
            </div>
          ) : null,
        )}
        {visit.priority > 0 && (
          <div>
            <dt>Priority</dt>
            <dd className="figures">{count(visit.priority, 'point')}</dd>
          </div>
        )}
        {visit.notes && (
          <div>
            <dt>Notes</dt>
            <dd>{visit.notes}</dd>
          </div>
        )}
        {visit.answers.map((answer) => (
          <div key={answer.label}>
            <dt>{answer.label}</dt>
            <dd>{answer.value}</dd>
          </div>
        ))}
      </dl>
      <RecordFiles project={visit.project?.id} client={visit.client?.id} />
      <WaitingFor visit={visit} />
      <p className="visit-buttons">
        {begun && stands && (
          <>
            <Button size="small" variant="outlined" onClick={() => set('held', `${visit.title} was held.`)}>
              It was held
            </Button>
            <Button size="small" variant="outlined" onClick={() => set('missed', `${visit.title} was missed.`)}>
              Missed
            </Button>
          </>
        )}
        <Allowed to="diary.keep">
          {visit.state === 'offered' && (
            <Button size="small" variant="outlined" onClick={() => set('booked', `${visit.title} is booked.`)}>
              They said yes
            </Button>
          )}
          <Button size="small" variant="outlined" onClick={() => setMoving(!moving)} aria-expanded={moving}>
            Move or change
          </Button>
          {stands && (
            <Button
              size="small"
              variant="outlined"
              onClick={() => set('cancelled', `${visit.title} is cancelled; ${visit.who || 'nobody'} is told.`)}
            >
              Cancel it
            </Button>
          )}
          {visit.state === 'cancelled' && (
            <Button size="small" variant="outlined" onClick={() => set('booked', `${visit.title} stands again.`)}>
              Book it again
            </Button>
          )}
        </Allowed>
      </p>
      {moving && diary && <Change visit={visit} diary={diary} onDone={() => setMoving(false)} />}
      <Journal record={visit.id} />
    </article>
  );
}

/** Who waits for a place in a group that is full. */
function WaitingFor({ visit }: { visit: Visit }) {
  const { takeOff } = useKeepDiary();
  const toast = useToast();
  if (visit.waiting.length === 0) return null;
  return (
    <>
      <h4>Waiting for a place</h4>
      <ol className="visit-waiting">
        {visit.waiting.map((one) => (
          <li key={one.id}>
            {one.who}, since {longDay(dayOf(one.since))}, {clockTime(one.since)}{' '}
            <Allowed to="diary.keep">
              <button
                type="button"
                className="link-button"
                disabled={takeOff.isPending}
                aria-label={`Take ${one.who} off the list`}
                onClick={() =>
                  takeOff.mutate(one.id, {
                    onSuccess: () => toast({ words: `${one.who} is off the waiting list.` }),
                    onError: (error) => toast({ words: error.message }),
                  })
                }
              >
                Take off
              </button>
            </Allowed>
          </li>
        ))}
      </ol>
    </>
  );
}

/** The way without dragging: day, times, who goes, where, notes; what stands against it is said before. */
function Change({ visit, diary, onDone }: { visit: Visit; diary: Diary; onDone: () => void }) {
  const { change } = useKeepDiary();
  const toast = useToast();
  const today = useToday();
  const hm = (minute: number) =>
    `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
  const [day, setDay] = useState(dayOf(visit.startsAt));
  const [from, setFrom] = useState(hm(minuteOf(visit.startsAt)));
  const [to, setTo] = useState(hm(minuteOf(visit.endsAt)));
  const [staff, setStaff] = useState(visit.staff.id);
  const [place, setPlace] = useState(visit.place);
  const [notes, setNotes] = useState(visit.notes);
  const [against, setAgainst] = useState('');
  const minute = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3, 5));
  const save = (anyway: boolean) =>
    change.mutate(
      {
        id: visit.id,
        version: visit.version,
        startsAt: momentOf(day, minute(from), diary.zone),
        endsAt: momentOf(day, minute(to), diary.zone),
        staff,
        place,
        notes,
        ...(anyway ? { anyway: true } : {}),
      },
      {
        onSuccess: () => {
          toast({ words: `${visit.title} is changed.` });
          onDone();
        },
        onError: (error) =>
          setAgainst(error instanceof ProblemError && error.status === 409 ? error.message : error.message),
      },
    );
  const looked = useTimeLooked(
    visit.project && day && from && (day !== dayOf(visit.startsAt) || from !== hm(minuteOf(visit.startsAt)))
      ? {
          id: visit.id,
          staff,
          startsAt: momentOf(day, minute(from), diary.zone),
          endsAt: momentOf(day, Math.max(minute(to || from), minute(from) + 1), diary.zone),
        }
      : null,
  ).data?.follows;
  const people = diary.staff.some((one) => one.id === visit.staff.id) ? diary.staff : [visit.staff, ...diary.staff];
  return (
    <form
      className="visit-change"
      onSubmit={(event) => {
        event.preventDefault();
        save(false);
      }}
    >
      <StaffField label="Day" type="date" value={day} required onChange={(event) => setDay(event.target.value)} />
      <StaffField label="From" type="time" value={from} required onChange={(event) => setFrom(event.target.value)} />
      <StaffField label="To" type="time" value={to} required onChange={(event) => setTo(event.target.value)} />
      <label className="staff-field">
        <span>Who goes</span>
        <select value={staff} onChange={(event) => setStaff(event.target.value)}>
          {people.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <StaffField label="Where" value={place} maxLength={300} onChange={(event) => setPlace(event.target.value)} />
      <StaffField label="Notes" value={notes} maxLength={5000} onChange={(event) => setNotes(event.target.value)} />
      {looked && !movesNothing(looked) && (
        <div className="moves-with second" aria-live="polite">
          <Told follows={looked} today={today} />
        </div>
      )}
      {against && (
        <p className="visit-against" role="alert">
          {against}
        </p>
      )}
      <p className="visit-buttons">
        <Button type="submit" size="small" variant="contained" disabled={change.isPending}>
          Save
        </Button>
        {against && (
          <Button size="small" variant="outlined" disabled={change.isPending} onClick={() => save(true)}>
            Move it anyway
          </Button>
        )}
        <Button size="small" variant="outlined" onClick={onDone}>
          Leave it
        </Button>
      </p>
    </form>
  );
}
