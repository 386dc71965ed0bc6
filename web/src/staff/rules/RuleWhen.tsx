import type { Offers } from './queries';
import { choicesOf, triggerOf, type Editing, type Trigger } from './rule';

interface Props {
  rule: Editing;
  offers: Offers;
  onChange: (part: Partial<Editing>) => void;
}

/** What sets a rule off: an arrival from these forms, or something that happens to a project or a client. */
export function RuleWhen({ rule, offers, onChange }: Props) {
  const trigger = triggerOf(offers, rule.when);
  return (
    <>
      <select
        aria-label="What sets it off"
        value={rule.when}
        onChange={(event) => {
          const when = event.target.value as Trigger;
          // Forms are asked about only where a submission is what it begins with.
          onChange({ when, what: '', ...(triggerOf(offers, when)?.hasForms ? {} : { forms: [] }) });
        }}
      >
        {offers.triggers.map(({ value, label }) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>{' '}
      <What rule={rule} offers={offers} onChange={onChange} />
      {trigger?.hasForms && (
        <>
          {' from '}
          <Forms rule={rule} offers={offers} onChange={onChange} />
        </>
      )}
      {trigger?.hint && <p className="second">{trigger.hint}</p>}
    </>
  );
}

/** What it happens to in particular. */
function What({ rule, offers, onChange }: Props) {
  const trigger = triggerOf(offers, rule.when);
  const field = trigger?.what;
  if (!field) return null;
  return (
    <>
      {field.kind === 'choice' ? (
        <select aria-label={field.label} value={rule.what} onChange={(event) => onChange({ what: event.target.value })}>
          <option value="">{field.any}</option>
          {choicesOf(field, offers).map((one) => (
            <option key={one.value} value={one.value}>
              {one.label}
            </option>
          ))}
        </select>
      ) : (
        <input
          aria-label={field.label}
          placeholder={field.any}
          value={rule.what}
          maxLength={200}
          onChange={(event) => onChange({ what: event.target.value })}
        />
      )}
      {trigger.byHand && (
        <label>
          {' '}
          <input
            type="checkbox"
            checked={rule.alsoByHand}
            onChange={(event) => onChange({ alsoByHand: event.target.checked })}
          />{' '}
          also one that somebody added by hand
        </label>
      )}
    </>
  );
}

function Forms({ rule, offers, onChange }: Props) {
  return (
    <>
      {rule.forms.map((slug) => (
        <span key={slug} className="chip">
          {offers.forms.find((form) => form.value === slug)?.label ?? `${slug}, which is gone`}{' '}
          <button
            type="button"
            className="link-button"
            aria-label={`remove ${slug}`}
            onClick={() => onChange({ forms: rule.forms.filter((one) => one !== slug) })}
          >
            ×
          </button>
        </span>
      ))}
      <select
        aria-label="Form"
        value=""
        onChange={(event) => event.target.value && onChange({ forms: [...rule.forms, event.target.value] })}
      >
        <option value="">{rule.forms.length === 0 ? 'any form' : 'or …'}</option>
        {offers.forms
          .filter((form) => !rule.forms.includes(form.value))
          .map((form) => (
            <option key={form.value} value={form.value}>
              {form.label}
            </option>
          ))}
      </select>
    </>
  );
}
