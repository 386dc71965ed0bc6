import { ComingRows, Trouble } from '../../shared/Notice';
import { when } from '../../shared/words';
import { useToday } from '../shell/day';
import { RecordLink } from '../shell/RecordLink';
import { useRuleUses, useRuleVersions, type KeptRule, type Offers } from './queries';
import { editing, phraseOf, type Editing } from './rule';

interface Props {
  kept: KeptRule;
  offers: Offers | undefined;
  onBring: (rule: Editing) => void;
}

/** On what a rule had its part, and what it was before. */
export function RuleHistory({ kept, offers, onBring }: Props) {
  const today = useToday();
  const used = useRuleUses(kept.id);
  const past = useRuleVersions(kept.id);
  const uses = used.data ?? [];
  const versions = past.data ?? [];
  return (
    <>
      <section className="trial">
        <h3 className="group-label">Used on</h3>
        {used.isPending && <ComingRows rows={2} />}
        {used.error && (
          <Trouble title="Not loaded" again={() => void used.refetch()}>
            {used.error.message}
          </Trouble>
        )}
        {used.data?.length === 0 && <p className="second">Nowhere yet.</p>}
        {uses.length >= 100 && <p className="second">The last hundred.</p>}
        <ul className="look-list">
          {uses.map((use, i) => (
            <li key={`${use.record.id}-${i}`}>
              <span>
                {use.record.kind === 'submission' ? (
                  <a href={`/arrivals/${use.record.id}?state=accepted`}>{use.record.label}</a>
                ) : (
                  <RecordLink record={use.record} />
                )}
                {use.failure && <span className="question-error"> named {use.failure}</span>}
                {use.takenBack && <span className="second"> taken back</span>}
              </span>{' '}
              <span className="second figures">{when(use.at, today)}</span>
            </li>
          ))}
        </ul>
      </section>
      <section className="trial">
        <h3 className="group-label">Versions</h3>
        {past.isPending && <ComingRows rows={2} />}
        {past.error && (
          <Trouble title="Not loaded" again={() => void past.refetch()}>
            {past.error.message}
          </Trouble>
        )}
        <ul className="look-list">
          {versions.map((version, i) => (
            <li key={version.at + String(i)}>
              <span>
                {version.words}{' '}
                <span className="second">
                  {version.by}:{' '}
                  {version.rule.then.map((action) => phraseOf(offers, action.kind)).join(', ') || 'nothing'}
                </span>{' '}
                {i > 0 && (
                  <button
                    type="button"
                    className="link-button"
                    onClick={() => onBring({ ...editing({ ...kept, ...whole(version.rule) }), version: kept.version })}
                  >
                    bring it back
                  </button>
                )}
              </span>
              <span className="second figures">{when(version.at, today)}</span>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** A rule as an older version had it, with what it did not say yet as it is by itself. */
function whole(rule: Partial<KeptRule>): Partial<KeptRule> {
  return {
    forms: [],
    if: null,
    from: '',
    until: '',
    acceptsByItself: false,
    when: 'received',
    what: '',
    alsoByHand: false,
    ...rule,
  };
}
