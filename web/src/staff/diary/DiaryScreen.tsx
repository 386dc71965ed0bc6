import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { ProblemError, type Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { ComingRows, Trouble } from '../../shared/Notice';
import { clockTime } from '../../shared/words';
import { useKey, useLetters } from '../keys';
import { useSignedIn } from '../session';
import { Allowed } from '../shell/Allowed';
import { useToday } from '../shell/day';
import { Pillars } from '../shell/Pillars';
import { movesNothing, Told } from '../shell/TasksMove';
import { useToast } from '../shell/Toast';
import { Courses, type Slot } from './Courses';
import './diary.css';
import { GoodTimesList } from './GoodTimes';
import { Needs } from './Needs';
import { NewVisit } from './NewVisit';
import { Month, VisitList } from './OtherViews';
import { PrintDay } from './PrintDay';
import {
  checkTime,
  useAppointment,
  useDiary,
  useGoodTimes,
  useKeepDiary,
  useVisitTypes,
  type VisitEdit,
  type Wanted,
} from './queries';
import type { Moved } from './VisitBlock';
import { VisitSheet } from './VisitSheet';
import { dayOf, momentOf, plusDays, shownDays, spanWords, type View } from './weeks';

/** A move that somebody is asked about first: what it breaks, and what it takes along. */
interface Asked {
  words: string;
  edit: VisitEdit & { id: string };
  follows: Schema<'Follows'>;
}

/** The diary: a week as courses, the chosen day by person; beneath it what is being placed, the good times, and what needs somebody. */
export function DiaryScreen() {
  const { id = '' } = useParams();
  const [search, setSearch] = useSearchParams();
  const navigate = useNavigate();
  const today = useToday();
  const toast = useToast();
  const keeps = useSignedIn().user.may.includes('diary.keep');
  const narrow = useMediaQuery('(max-width: 899px)', { noSsr: true });
  const opened = useAppointment(id);
  const day = search.get('day') ?? (opened.data ? dayOf(opened.data.startsAt) : today);
  const view = (search.get('view') ?? 'week') as View;
  const { from, to } = shownDays(narrow && view === 'week' ? 'week' : view, day);
  const diary = useDiary(from, to);
  const placing = search.has('new');
  const setup = useVisitTypes(keeps);
  const [wishes, setWishes] = useState<Partial<Wanted>>({});
  const [settled, setSettled] = useState<string | undefined>();
  const [offer, setOffer] = useState(0);
  const usual = setup.data?.offerHours ?? 24;
  const [series, setSeries] = useState<{ every: '' | 'WEEKLY' | 'FORTNIGHTLY' | 'MONTHLY'; times: number }>({
    every: '',
    times: 6,
  });
  const [slot, setSlot] = useState(1);
  const [key, setKey] = useState(newKey);
  const [broken, setBroken] = useState<Asked | null>(null);
  const wanted: Wanted = {
    type: search.get('type') ?? '',
    length: 0,
    client: search.get('client') ?? '',
    project: search.get('project') ?? '',
    submission: search.get('submission') ?? '',
    with: '',
    part: 'any',
    from: day < today ? today : day,
    ...wishes,
  };
  // Times are found by the place as it was left, not by each letter of it.
  const { address: typed, ...asked } = wanted;
  const good = useGoodTimes(settled === undefined ? asked : { ...asked, address: settled }, keeps && placing);
  const { place, change } = useKeepDiary();

  const show = (next: Record<string, string | null>, path = '/diary') => {
    const query = new URLSearchParams(search);
    for (const [name, value] of Object.entries(next)) {
      if (value === null) query.delete(name);
      else query.set(name, value);
    }
    void navigate({ pathname: path, search: query.toString() });
  };
  const goTo = (next: string) => show({ day: next });
  const begin = () => {
    setWishes({});
    setSettled(undefined);
    setSlot(1);
    setKey(newKey());
    show({ new: '1', day });
  };
  const end = () => {
    setSearch((now) => {
      const query = new URLSearchParams(now);
      for (const name of ['new', 'client', 'project', 'submission', 'type']) query.delete(name);
      return query;
    });
    setWishes({});
    setSettled(undefined);
  };
  const slots: Slot[] = placing
    ? (good.data?.items ?? []).map((one, i) => ({
        number: i + 1,
        startsAt: one.startsAt,
        endsAt: one.endsAt,
        staff: one.staff[0]?.id ?? '',
      }))
    : [];
  const chosen = good.data?.items[slot - 1];
  const put = (hours: number) => {
    if (!chosen || place.isPending || !good.data) return;
    place.mutate(
      {
        key,
        type: good.data.type,
        client: wanted.client,
        project: wanted.project,
        submission: wanted.submission,
        staff: chosen.staff[0]?.id ?? '',
        also: chosen.staff.slice(1).map((one) => one.id),
        startsAt: chosen.startsAt,
        endsAt: chosen.endsAt,
        place: good.data.onTheRoad ? (typed ?? good.data.address) : good.data.address,
        offer: hours,
        ...(series.every ? series : {}),
      },
      {
        onSuccess: (done) => {
          toast({
            words: `${done.appointment.title} ${hours > 0 ? 'is kept' : 'is placed'}: ${clockTime(done.appointment.startsAt)}, ${done.appointment.staff.name}.${done.appointment.email ? ' The client is told by mail.' : ''}`,
            details: done.skipped,
          });
          setKey(newKey());
          end();
          show(
            {
              day: dayOf(done.appointment.startsAt),
              new: null,
              client: null,
              project: null,
              submission: null,
              type: null,
            },
            `/diary/${done.appointment.id}`,
          );
        },
        onError: (error) => {
          toast({ words: error.message });
          void good.refetch();
        },
      },
    );
  };
  const move = async (moved: Moved, on: string) => {
    if (!diary.data) return;
    const lanes = diary.data.staff;
    const i = lanes.findIndex((one) => one.id === moved.visit.staff.id);
    const staff = lanes[Math.min(Math.max(0, i + moved.lanes), lanes.length - 1)]?.id ?? moved.visit.staff.id;
    const edit = {
      id: moved.visit.id,
      version: moved.visit.version,
      staff,
      startsAt: momentOf(on, moved.from, diary.data.zone),
      endsAt: momentOf(on, moved.to, diary.data.zone),
    };
    try {
      const { against, follows } = await checkTime(edit);
      const words = against.length > 0 ? `${moved.visit.title} there: ${against.join('; ')}.` : '';
      if (words !== '' || !movesNothing(follows)) setBroken({ words, edit, follows });
      else
        change.mutate(edit, {
          onSuccess: () => toast({ words: `${moved.visit.title} is moved.` }),
          onError: (error) => toast({ words: error.message }),
        });
    } catch (error) {
      toast({ words: error instanceof ProblemError ? error.message : 'It was not moved.' });
    }
  };

  useKey('dayBefore', () => goTo(plusDays(day, -1)));
  useKey('dayAfter', () => goTo(plusDays(day, 1)));
  useKey('weekBefore', () => goTo(plusDays(day, -7)));
  useKey('weekAfter', () => goTo(plusDays(day, 7)));
  useLetters(
    slots.map((one) => String(one.number)),
    (letter) => {
      setSlot(Number(letter));
      const at = slots[Number(letter) - 1];
      if (at) goTo(dayOf(at.startsAt));
    },
  );

  const body = diary.error ? (
    <Trouble title="Not loaded" again={() => void diary.refetch()}>
      {diary.error.message}
    </Trouble>
  ) : !diary.data ? (
    <ComingRows rows={6} />
  ) : view === 'month' ? (
    <Month diary={diary.data} day={day} onDay={(next) => show({ day: next, view: null })} />
  ) : view === 'list' || narrow ? (
    <VisitList diary={diary.data} />
  ) : (
    <Courses
      diary={diary.data}
      day={day}
      onDay={goTo}
      chosen={id}
      onOpen={(visit) => show({ day }, `/diary/${visit.id}`)}
      onMove={keeps ? (moved, on) => void move(moved, on) : undefined}
      slots={slots}
      slot={slot}
      onSlot={setSlot}
    />
  );
  const head = (
    <section className="diary-head" aria-label="Diary">
      <header className="diary-bar">
        <h1>
          {view === 'month'
            ? new Date(`${day}T12:00`).toLocaleDateString('en-IE', { month: 'long', year: 'numeric' })
            : spanWords(from, to)}
        </h1>
        <p className="legend" aria-hidden>
          <span className="key-road">travel</span> <span className="key-clear">kept clear</span>{' '}
          <span className="key-offered">offered</span> <span className="key-off">not working</span>
        </p>
        <nav className="diary-ways" aria-label="Views">
          {(['week', 'month', 'list'] as const).map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={view === one}
              onClick={() => show({ view: one === 'week' ? null : one }, id ? `/diary/${id}` : '/diary')}
            >
              {one}
            </button>
          ))}
          <button type="button" onClick={() => goTo(today)}>
            today
          </button>
          <Allowed to="diary.keep">
            <Link to="/diary/kinds">Kinds of visit</Link>
          </Allowed>
        </nav>
      </header>
      {body}
      {diary.data && <PrintDay diary={diary.data} day={day} />}
    </section>
  );
  const needs = (diary.data?.needs ?? []).filter((need) =>
    diary.data?.appointments.some((visit) => visit.id === need.appointment),
  );
  const sheet = placing ? (
    <>
      <div className="pillar-head">
        <h2>A new visit</h2>
        <button type="button" className="link-button" onClick={end}>
          Leave it
        </button>
      </div>
      <NewVisit
        wanted={wanted}
        who={good.data?.who ?? ''}
        found={good.data}
        onPlace={() => setSettled(wanted.address)}
        setup={setup.data}
        type={good.data?.type ?? wanted.type}
        length={good.data?.length ?? wanted.length}
        onChange={(next) => {
          setSlot(1);
          setWishes({ ...wishes, ...next });
        }}
        offerHours={offer}
        usualHours={usual}
        onOffer={setOffer}
        series={series}
        onSeries={setSeries}
      />
    </>
  ) : id ? (
    <VisitSheet id={id} diary={diary.data} onClose={() => show({}, '/diary')} />
  ) : (
    <p className="second diary-hint">
      {keeps
        ? 'Choose a visit to see it whole, or place a new one.'
        : 'Choose a visit to see where it is, whom to ring and what was written.'}
    </p>
  );
  return (
    <Pillars
      title="Diary"
      head={head}
      pillars={[
        {
          name: placing ? 'New visit' : 'Visit',
          width: '361px',
          middling: '1fr',
          sheet: !placing && id !== '',
          content: sheet,
          blocks: keeps && !placing ? [{ label: 'New visit', keyName: 'newVisit', act: begin }] : [],
        },
        {
          name: 'Times',
          width: '1fr',
          content: placing ? (
            <>
              <div className="pillar-head">
                <h2>Next five good times</h2>
                <small>driving it adds</small>
              </div>
              <GoodTimesList
                found={good.data}
                error={good.error}
                again={() => void good.refetch()}
                chosen={slot}
                onChoose={setSlot}
              />
            </>
          ) : broken ? (
            <div className="broken" role="alert">
              {broken.words && <p>{broken.words}</p>}
              {!movesNothing(broken.follows) && (
                <div className="moves-with">
                  <Told follows={broken.follows} today={today} />
                </div>
              )}
              <p>
                <button
                  type="button"
                  onClick={() => {
                    change.mutate(broken.words ? { ...broken.edit, anyway: true } : broken.edit, {
                      onSuccess: () => toast({ words: 'Moved.' }),
                      onError: (error) => toast({ words: error.message }),
                    });
                    setBroken(null);
                  }}
                >
                  {broken.words ? 'Move it anyway' : 'Move it'}
                </button>
                <button type="button" autoFocus onClick={() => setBroken(null)}>
                  Leave it where it is
                </button>
              </p>
            </div>
          ) : (
            <p className="second diary-hint">
              {keeps ? 'V finds good times for a visit. Drag a block to move it; its right end stretches it.' : ''}
            </p>
          ),
          blocks: placing
            ? [
                {
                  label: chosen ? `${offer > 0 ? 'Keep' : 'Book'} ${dayWords(chosen.startsAt)}` : 'No time chosen',
                  keyName: 'main' as const,
                  main: true,
                  disabled: !chosen || place.isPending,
                  act: () => put(offer),
                },
                {
                  label: 'Keep it, and ask',
                  keyName: 'offer' as const,
                  disabled: !chosen || place.isPending,
                  act: () => put(usual),
                },
              ]
            : [],
        },
        {
          name: 'Needs you',
          tally: needs.length || undefined,
          choose: needs.length > 0,
          width: '332px',
          content: (
            <>
              <div className="pillar-head">
                <h2>These days need you</h2>
                <small>{needs.length || ''}</small>
              </div>
              <Needs needs={needs} />
            </>
          ),
          blocks: [
            { label: 'Earlier', shown: '[', act: () => goTo(plusDays(day, -1)) },
            { label: 'Later', shown: ']', act: () => goTo(plusDays(day, 1)) },
            { label: 'Print', keyName: 'print' as const, act: () => window.print() },
          ],
        },
      ]}
    />
  );
}

function dayWords(at: string): string {
  return `${new Date(at).toLocaleDateString('en-IE', { weekday: 'short', day: 'numeric' })}, ${clockTime(at)}`;
}
