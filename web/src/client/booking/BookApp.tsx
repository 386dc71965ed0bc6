import { useCallback, useEffect, useState } from 'react';
import Button from '@mui/material/Button';
import { ProblemError } from '../../shared/api';
import { ComingRows, Trouble } from '../../shared/Notice';
import { FormApp } from '../FormApp';
import { growWithContent } from '../whereFrom';
import { Booked } from './Booked';
import { BookingFrame } from './BookingFrame';
import { ChoiceRow } from './ChoiceRow';
import { Choosing, useZone } from './Choosing';
import { HoldClock } from './HoldClock';
import { Waits } from './Waits';
import { useBookingPage, useHolding, useTimes, useWaiting, type Held, type Page } from './queries';
import { lengthWords, whenWords } from './times';
import { firstName } from '../../shared/firstName';

/** A page of times: first the form that asks who it is, then what for, who, and when. */
export function BookApp({ slug }: { slug: string }) {
  const query = new URLSearchParams(window.location.search);
  const t = query.get('t') ?? '';
  const page = useBookingPage(slug, t);
  useEffect(growWithContent, []);
  if (page.data && t === '') return <FormApp slug={page.data.form} booking={slug} />;
  if (page.data?.booked) {
    return (
      <BookingFrame business={page.data.business} title="Booked">
        <Booked visit={page.data.booked} home={page.data.zone} />
      </BookingFrame>
    );
  }
  if (page.data) return <Book page={page.data} t={t} query={query} />;
  const missing = page.error instanceof ProblemError && page.error.status === 404;
  return (
    <main className="public-plain">
      {page.error ? (
        <>
          <h1>{missing ? 'This page is not there' : 'The page could not be loaded'}</h1>
          {missing && t !== '' ? (
            <p>
              {page.error.message} <a href={`/book/${encodeURIComponent(slug)}`}>Begin again</a>
            </p>
          ) : (
            <Trouble title="Not loaded" again={() => void page.refetch()}>
              {page.error.message}
            </Trouble>
          )}
        </>
      ) : (
        <ComingRows rows={5} />
      )}
    </main>
  );
}

function Book({ page, t, query }: { page: Page; t: string; query: URLSearchParams }) {
  const [type, setType] = useState(
    () =>
      page.types.find((one) => one.slug === (page.held?.type ?? query.get('type')))?.slug ?? page.types[0]?.slug ?? '',
  );
  const now = page.types.find((one) => one.slug === type);
  const [length, setLength] = useState(() => page.held?.length ?? Number(query.get('length')));
  const minutes = now?.lengths.includes(length) ? length : (now?.lengths[0] ?? 60);
  const [person, setPerson] = useState(
    () => now?.people.find((one) => one.initials === query.get('with') || one.id === query.get('with'))?.id ?? '',
  );
  const [from, setFrom] = useState<string[]>([]);
  const [held, setHeldTo] = useState<(Held & { ends: number }) | null>(() => page.held && withEnd(page.held));
  const setHeld = (to: Held | null) => setHeldTo(to && withEnd(to));
  const [chosen, setChosen] = useState(page.held?.at ?? '');
  const [gone, setGone] = useState('');
  const [zone, setZone] = useZone(page.zone);
  const choice = { type, length: minutes, with: now?.people.some((one) => one.id === person) ? person : '' };
  const times = useTimes(page.slug, t, choice, from.at(-1) ?? '');
  const { hold, longer, book } = useHolding(page.slug, t);
  const waiting = useWaiting(page.slug, t);
  const [told, setTold] = useState('');

  const lose = (at: string) => {
    setHeld(null);
    setChosen('');
    setGone(at);
  };
  const choose = (at: string) => {
    setChosen(at);
    setGone('');
    setTold('');
    hold.mutate(
      { ...choice, at },
      {
        onSuccess: setHeld,
        onError: (error) => {
          if (error instanceof ProblemError && error.status === 409) lose(at);
          else setTold(error.message);
        },
      },
    );
  };
  const clear = () => {
    setHeld(null);
    setChosen('');
    setGone('');
    setFrom([]);
  };
  const over = useCallback(() => {
    setHeldTo(null);
    setTold('The ten minutes are over. The time may still be free: book it, or choose again.');
  }, []);
  const submit = () => {
    if (!chosen || book.isPending) return;
    book.mutate(
      { ...choice, at: chosen, zone },
      {
        onError: (error) => {
          if (error instanceof ProblemError && error.status === 409) lose(chosen);
          else setTold(error.message);
        },
      },
    );
  };
  if (book.data) {
    return (
      <BookingFrame business={page.business} title="Booked">
        <Booked visit={book.data} home={page.zone} fresh />
      </BookingFrame>
    );
  }
  if (page.waits) {
    return (
      <BookingFrame business={page.business} title="Waiting for a place">
        <Waits
          waits={page.waits}
          home={page.zone}
          told={waiting.leave.error?.message ?? ''}
          busy={waiting.leave.isPending}
          onLeave={() => waiting.leave.mutate()}
        />
      </BookingFrame>
    );
  }
  const title = page.title.replace(/\?$/, page.who?.first ? `, ${page.who.first}?` : '?');
  return (
    <BookingFrame business={page.business} title={page.title}>
      <main className="book">
        <header className="book-head">
          <h1>{title}</h1>
          <Known page={page} />
        </header>
        <div className="book-sheet">
          <ChoiceRow
            number={1}
            question="What for?"
            chosen={type}
            onChoose={(value) => {
              setType(value);
              clear();
            }}
            options={page.types.map((one) => ({
              value: one.slug,
              label: one.name,
              beside: one.lengths.length > 1 ? '' : lengthWords(one.lengths[0] ?? 60),
            }))}
          />
          {(now?.lengths.length ?? 0) > 1 && (
            <ChoiceRow
              number={2}
              question="How long?"
              chosen={String(minutes)}
              onChoose={(value) => {
                setLength(Number(value));
                clear();
              }}
              options={(now?.lengths ?? []).map((one) => ({ value: String(one), label: lengthWords(one), beside: '' }))}
            />
          )}
          {(now?.people.length ?? 0) > 1 && (
            <ChoiceRow
              number={(now?.lengths.length ?? 0) > 1 ? 3 : 2}
              question="Who?"
              chosen={person}
              onChoose={(value) => {
                setPerson(value);
                clear();
              }}
              options={[
                {
                  value: '',
                  label: orWords((now?.people ?? []).map((one) => firstName(one.name))),
                  beside: 'gives you most times',
                },
                ...(now?.people ?? []).map((one) => ({ value: one.id, label: one.name, beside: '' })),
              ]}
            />
          )}
          <section className="when">
            <h2>
              <span className="serif margin-number" aria-hidden>
                {2 + Number((now?.lengths.length ?? 0) > 1) + Number((now?.people.length ?? 0) > 1)}
              </span>
              When?
            </h2>
            <Choosing
              times={times.data}
              error={times.error}
              again={() => void times.refetch()}
              fetching={times.isPlaceholderData}
              chosen={chosen}
              gone={gone}
              onChoose={choose}
              onWait={(at) =>
                waiting.join.mutate({ ...choice, at, zone }, { onError: (error) => setTold(error.message) })
              }
              onLater={(day) => setFrom([...from, day])}
              earlier={from.length > 0 ? () => setFrom(from.slice(0, -1)) : null}
              zone={zone}
              onZone={setZone}
            />
          </section>
        </div>
        <footer className="book-plinth">
          <div className="book-what" role="status">
            {chosen ? (
              <>
                <b>{whenWords(chosen, minutes, zone)}</b>
                <span>
                  {now?.name}
                  {held?.with ? ` with ${held.with}` : ''}
                  {now?.price ? `. ${now.price}` : ''}
                  {zone === page.zone
                    ? ''
                    : `. There it is then ${whenWords(chosen, minutes, page.zone).split(', ')[1]}.`}
                </span>
              </>
            ) : (
              <span>Choose a time. It is held for ten minutes while you look at it.</span>
            )}
            {told && (
              <span className="book-told" role="alert">
                {told}
              </span>
            )}
          </div>
          <div className="book-hold">
            {held && held.at === chosen && (
              <HoldClock
                ends={held.ends}
                onOver={over}
                canLonger={held.extended < 3}
                onLonger={() =>
                  longer.mutate(undefined, { onSuccess: setHeld, onError: (error) => setTold(error.message) })
                }
              />
            )}
          </div>
          <Button
            variant="contained"
            size="large"
            disabled={!chosen || book.isPending || hold.isPending}
            onClick={submit}
          >
            {book.isPending ? 'Booking …' : 'Book this time'}
          </Button>
        </footer>
      </main>
    </BookingFrame>
  );
}

/** Until when it is held by the clock here, which need not agree with the server's. */
function withEnd(held: Held): Held & { ends: number } {
  return { ...held, ends: Date.now() + Date.parse(held.until) - Date.parse(held.now) };
}

function orWords(names: string[]): string {
  return names.length > 3
    ? 'Anybody'
    : names.length > 1
      ? `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`
      : (names[0] ?? '');
}

function listed(words: string[]): string {
  return words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');
}

/** What is known already and is not asked again. */
function Known({ page }: { page: Page }) {
  const known = page.who?.known ?? [];
  if (known.length === 0) return <p>{page.intro}</p>;
  return (
    <details className="known">
      <summary>
        We know {listed(known.map((one) => one.what))}. <span className="link">See what we have</span>
      </summary>
      <dl>
        {known.map((one) => (
          <div key={one.label}>
            <dt>{one.label}</dt>
            <dd>{one.value}</dd>
          </div>
        ))}
      </dl>
      <p className="second">Is something wrong? Book all the same, and tell us by phone or in answer to our mail.</p>
    </details>
  );
}
