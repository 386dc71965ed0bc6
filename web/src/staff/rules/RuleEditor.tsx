import { ConditionEditor } from '../definition/ConditionEditor';
import { StaffField } from '../shell/StaffField';
import { ActionLine } from './ActionLine';
import type { Offers } from './queries';
import { askable, freshAction, mergeFields, triggerOf, type ActionKind, type Editing } from './rule';
import { RuleWhen } from './RuleWhen';

interface Props {
  rule: Editing;
  offers: Offers;
  faults: Record<string, string>;
  onChange: (part: Partial<Editing>) => void;
}

/** A rule as sentences: when, if, then. */
export function RuleEditor({ rule, offers, faults, onChange }: Props) {
  const change = (i: number, part: object) =>
    onChange({ then: rule.then.map((action, n) => (n === i ? { ...action, ...part } : action)) });
  return (
    <div className="particulars rule">
      <StaffField
        label="Name, as the plan’s lines say it"
        value={rule.name}
        maxLength={100}
        error={faults.name}
        onChange={(event) => onChange({ name: event.target.value })}
      />
      <StaffField
        label="Why it is there"
        value={rule.why}
        maxLength={500}
        onChange={(event) => onChange({ why: event.target.value })}
      />
      <dl>
        <div>
          <dt>When</dt>
          <dd>
            <RuleWhen rule={rule} offers={offers} onChange={onChange} />
            {faults.when && <p className="question-error">{faults.when}</p>}
          </dd>
        </div>
        <div>
          <dt>If</dt>
          <dd>
            {!rule.if && <span className="second">always. </span>}
            <ConditionEditor
              words="if"
              numbered={false}
              definition={askable(offers, rule.forms, rule.when)}
              before=""
              condition={rule.if}
              onChange={(condition) => onChange({ if: condition })}
            />
            {faults.if && <p className="question-error">{faults.if}</p>}
          </dd>
        </div>
        <div>
          <dt>Then</dt>
          <dd>
            {rule.then.map((action, i) => (
              <ActionLine
                key={i}
                action={action}
                offers={offers}
                merge={mergeFields(offers, rule)}
                error={Object.entries(faults).find(([path]) => path.startsWith(`then.${i}`))?.[1]}
                onChange={(part) => change(i, part)}
                onRemove={() => onChange({ then: rule.then.filter((_, n) => n !== i) })}
              />
            ))}
            <select
              aria-label="What it does"
              value=""
              onChange={(event) =>
                event.target.value &&
                onChange({ then: [...rule.then, freshAction(event.target.value as ActionKind, offers)] })
              }
            >
              <option value="">{rule.then.length === 0 ? 'choose what it does' : 'and …'}</option>
              {offers.actions.map(({ value, label }) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
            {faults.then && <p className="question-error">{faults.then}</p>}
            {triggerOf(offers, rule.when)?.ofPlan && (
              <p>
                <label>
                  <input
                    type="checkbox"
                    checked={rule.acceptsByItself}
                    onChange={(event) => onChange({ acceptsByItself: event.target.checked })}
                  />{' '}
                  and accept the plan by itself when nothing in it is open
                </label>
              </p>
            )}
          </dd>
        </div>
        <div>
          <dt>Counts</dt>
          <dd className="rule-days">
            from{' '}
            <input
              type="date"
              aria-label="From"
              value={rule.from}
              onChange={(event) => onChange({ from: event.target.value })}
            />{' '}
            to{' '}
            <input
              type="date"
              aria-label="Until"
              value={rule.until}
              onChange={(event) => onChange({ until: event.target.value })}
            />
            {faults.until && <p className="question-error">{faults.until}</p>}
          </dd>
        </div>
      </dl>
    </div>
  );
}
