import { useEffect, useRef } from 'react';
import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { useZone } from './Choosing';
import { visitWords } from './times';

/** What is booked, and what one can do with it. */
export function Booked({
  visit,
  home,
  fresh = false,
}: {
  visit: Schema<'BookedVisit'>;
  home: string;
  fresh?: boolean;
}) {
  const [zone] = useZone(home);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (fresh) {
      heading.current?.focus();
      window.scrollTo(0, 0);
    }
  }, [fresh]);
  return (
    <main className="visit">
      {visit.state === 'offered' ? <Mark kind="waiting">kept for you</Mark> : <Mark kind="done">booked</Mark>}
      <h1 ref={heading} tabIndex={-1}>
        {visitWords(visit, zone)}
      </h1>
      <VisitFacts visit={visit} />
      {visit.state === 'offered' && (
        <p>
          <a href={`/visit/${visit.token}`}>Say yes to it, or let it go</a>
        </p>
      )}
      <p className="visit-acts">
        <a href={`/api/public/visits/${visit.token}/calendar.ics`} download>
          Put it into your calendar
        </a>
        <a href={`/visit/${visit.token}`}>Move or cancel it</a>
      </p>
      {visit.after && (
        <p>
          <a href={`/f/${visit.after}`}>One more form helps us to prepare</a>. It takes a few minutes.
        </p>
      )}
      {visit.email && visit.state !== 'offered' && (
        <p className="second">A mail with all of this is on its way to {visit.email}. You need not do anything else.</p>
      )}
    </main>
  );
}

export function VisitFacts({ visit }: { visit: Schema<'BookedVisit'> }) {
  return (
    <dl className="visit-facts">
      <div>
        <dt>What</dt>
        <dd>{visit.title}</dd>
      </div>
      {visit.place && (
        <div>
          <dt>Where</dt>
          <dd>{visit.place}</dd>
        </div>
      )}
      <div>
        <dt>With</dt>
        <dd>{visit.with}</dd>
      </div>
      {visit.price && (
        <div>
          <dt>Price</dt>
          <dd>{visit.price}</dd>
        </div>
      )}
      {visit.says && (
        <div>
          <dt>To prepare</dt>
          <dd>{visit.says}</dd>
        </div>
      )}
    </dl>
  );
}
