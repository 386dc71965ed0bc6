import { Link } from 'react-router';
import { MarkShape, type MarkKind } from '../../shared/Mark';
import type { Diary } from './queries';

const kinds: Record<Diary['needs'][number]['what'], { mark: MarkKind; word: string }> = {
  clash: { mark: 'choose', word: 'Clash' },
  wish: { mark: 'choose', word: 'Wants a change' },
  offered: { mark: 'waiting', word: 'unconfirmed' },
  waiting: { mark: 'choose', word: 'Plan open' },
  unmarked: { mark: 'under-way', word: 'not marked' },
};

/** What of these days somebody has to look at, with the way out. */
export function Needs({ needs }: { needs: Diary['needs'] }) {
  if (needs.length === 0) return <p className="second needs-none">Nothing in these days needs you.</p>;
  return (
    <ul className="needs">
      {needs.map((need) => {
        const kind = kinds[need.what];
        return (
          <li key={need.what + need.appointment} className={need.what}>
            <span className={`mark ${kind.mark}`}>
              <MarkShape kind={kind.mark} /> {kind.word}
            </span>{' '}
            <Link to={`/diary/${need.appointment}`}>{need.words}</Link>
          </li>
        );
      })}
    </ul>
  );
}
