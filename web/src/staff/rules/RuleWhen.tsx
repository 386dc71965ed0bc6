import type { Offers } from './queries';
import { isOfPlan, triggers, type Editing, type Trigger } from './rule';

interface Props {
  rule: Editing;
  offers: Offers;
  onChange: (part: Partial<Editing>) => void;
}

/** What sets a rule off: an arrival from these forms, or something that happens to a project or a client. */
export function RuleWhen({ rule, offers, onChange }: Props) {
  return (
    <>
      <select
        aria-label="What sets it off"
        value={rule.when}
        onChange={(event) => {
          const when = event.target.value as Trigger;
          // Forms are asked about only where a submission is what it begins with.
          onChange({ when, what: '', ...(ofForms(when) ? {} : { forms: [] }) });
        }}
      >
        {Object.entries(triggers).map(([value, words]) => (
          <option key={value} value={value}>
            {words}
          </option>
        ))}
      </select>{' '}
      <What rule={rule} offers={offers} onChange={onChange} />
      {ofForms(rule.when) ? (
        <>
          {' from '}
          <Forms rule={rule} offers={offers} onChange={onChange} />
        </>
      ) : (
        <p className="second">It acts at once, and one Undo takes it back with what set it off.</p>
      )}
      {rule.when === 'accepted' && <p className="second">It acts when the plan is accepted, after all its lines.</p>}
    </>
  );
}

const ofForms = (when: Trigger): boolean => isOfPlan(when) || when === 'accepted';

function What({ rule, offers, onChange }: Props) {
  if (rule.when === 'stage')
    return (
      <select aria-label="Stage" value={rule.what} onChange={(event) => onChange({ what: event.target.value })}>
        <option value="">any stage</option>
        {offers.stages.map((stage) => (
          <option key={stage.value} value={stage.value}>
            {stage.label}
          </option>
        ))}
      </select>
    );
  if (rule.when === 'client')
    return (
      <select aria-label="Field" value={rule.what} onChange={(event) => onChange({ what: event.target.value })}>
        <option value="">in any field</option>
        {clientFields(offers).map((field) => (
          <option key={field.value} value={field.value}>
            {field.label}
          </option>
        ))}
      </select>
    );
  if (rule.when === 'task')
    return (
      <>
        <input
          aria-label="Task"
          placeholder="any task, or its name"
          value={rule.what}
          maxLength={200}
          onChange={(event) => onChange({ what: event.target.value })}
        />{' '}
        <label>
          <input
            type="checkbox"
            checked={rule.alsoByHand}
            onChange={(event) => onChange({ alsoByHand: event.target.checked })}
          />{' '}
          also one that somebody added by hand
        </label>
      </>
    );
  return null;
}

const clientFields = (offers: Offers) => [
  { value: 'email', label: 'in the mail address' },
  { value: 'phone', label: 'in the phone number' },
  { value: 'address', label: 'in the address' },
  { value: 'tags', label: 'in the tags' },
  { value: 'owner', label: 'in who looks after them' },
  ...offers.fields
    .filter((one) => one.record === 'client')
    .map((one) => ({ value: one.field, label: `in ${one.label.replace(/^Client, /, '')}` })),
];

function Forms({ rule, offers, onChange }: Props) {
  return (
    <>
      {rule.forms.map((slug) => (
        <span key={slug} className="chip">
          {offers.forms.find((form) => form.value === slug)?.label ?? `${slug}, which is gone`}{' '}
          <button
            type="button"
            className="link-button"
            aria-label={`take out ${slug}`}
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
