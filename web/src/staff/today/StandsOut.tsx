import { Link } from 'react-router';
import type { Today } from './queries';

/** What the numbers of the day say, each with the way to where it can be put right. */
export function StandsOut({ facts }: { facts: Today['standsOut'] }) {
  return (
    <section className="stands-out" aria-labelledby="stands-out">
      <div className="pillar-head">
        <h2 id="stands-out">What stands out</h2>
      </div>
      {facts.length === 0 ? (
        <p className="second">Nothing. The day is as most are.</p>
      ) : (
        <ul>
          {facts.map((fact) => (
            <li key={fact.words}>
              <Link to={fact.path}>{fact.words}</Link>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
