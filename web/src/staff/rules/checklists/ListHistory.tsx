import { when } from '../../../shared/words';
import { useToday } from '../../shell/day';
import { draftOf } from './checklist';
import { useListVersions, type Draft, type KeptList } from './queries';

/** What the checklist was; any of it can be brought back into the draft. */
export function ListHistory({ kept, onBring }: { kept: KeptList; onBring: (draft: Draft) => void }) {
  const versions = useListVersions(kept.id);
  const today = useToday();
  if (!versions.data || versions.data.length < 2) return null;
  return (
    <details className="list-history">
      <summary>Versions</summary>
      <ul className="look-list">
        {versions.data.map((one) => (
          <li key={one.version}>
            <span>
              <b>{one.version}</b> {one.by}, {when(one.at, today)}
              <span className="second"> {one.items} items</span>
            </span>
            {one.version !== kept.version && (
              <button
                type="button"
                className="link-button"
                onClick={() => onBring({ ...draftOf(kept), ...one.list, version: kept.version })}
              >
                Bring back
              </button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}
