import type { Setup } from './queries';
import { useShown } from './shown';

const ends = { open: '', won: 'won', lost: 'lost' } as const;

/** The way of a project, as a course of stones. */
export function StagesSection({ stages }: { stages: Setup['stages'] }) {
  const [shown, show] = useShown();
  return (
    <>
      <div className="section-head">
        <h2>Stages</h2>
        <small>
          <button type="button" className="link-button" onClick={() => show('new.stage')}>
            Add stage
          </button>
        </small>
      </div>
      <ol className="setup-stages">
        {stages.map((stage) => (
          <li key={stage.id}>
            <button
              type="button"
              className={shown === `stage.${stage.id}` ? 'active' : ''}
              aria-pressed={shown === `stage.${stage.id}`}
              onClick={() => show(`stage.${stage.id}`)}
            >
              <span>{stage.name}</span>{' '}
              <span className="figures second">
                {[stage.days === null ? '' : `${stage.days} d`, ends[stage.ends]].filter(Boolean).join(' ')}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </>
  );
}
