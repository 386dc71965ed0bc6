import { Link } from 'react-router';
import { Mark } from '../../shared/Mark';
import type { Today } from './queries';

/** Quotes that wait for a yes, the soonest to run out first: ink for the days that are gone. */
export function QuotesWaiting({ quotes }: { quotes: Today['quotes'] }) {
  return (
    <section aria-labelledby="quotes-waiting">
      <div className="pillar-head">
        <h2 id="quotes-waiting">Quotes waiting for a yes</h2>
      </div>
      {quotes.count === 0 && <p className="second">None is out.</p>}
      <ul className="quotes-waiting">
        {quotes.items.map((quote) => (
          <li key={quote.id}>
            <p>
              <span className="second figures">{quote.number}</span>{' '}
              <Link to={`/quotes/${quote.id}`}>{quote.client}</Link>
              <span className="figures">{quote.total}</span>
            </p>
            <p>
              <Mark kind="waiting">{quote.opened ? 'opened' : 'sent'}</Mark>
              <span className="second">{quote.daysLeft === 1 ? '1 day left' : `${quote.daysLeft} days left`}</span>
            </p>
            <i aria-hidden>
              <i
                style={{
                  width: `${Math.min(100, Math.max(2, 100 * (1 - quote.daysLeft / Math.max(1, quote.days))))}%`,
                }}
              />
            </i>
          </li>
        ))}
      </ul>
      {quotes.count > 0 && (
        <p className="quotes-waiting-sum">
          <Link to="/quotes">
            {quotes.count} {quotes.count === 1 ? 'quote' : 'quotes'}
          </Link>
          <b className="figures">{quotes.sum}</b>
        </p>
      )}
    </section>
  );
}
