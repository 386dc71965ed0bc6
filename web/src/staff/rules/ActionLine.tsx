import type { Schema } from '../../shared/api';
import type { Offers, RuleAction } from './queries';
import { MergeText } from './MergeText';
import { choicesOf, phraseOf } from './rule';

interface Props {
  action: RuleAction;
  offers: Offers;
  /** What its texts may name. */
  merge: Schema<'Offer'>[];
  error: string | undefined;
  onChange: (part: Partial<RuleAction>) => void;
  onRemove: () => void;
}

/** One thing that a rule does, as a sentence. */
export function ActionLine({ action, offers, merge, error, onChange, onRemove }: Props) {
  return (
    <div className="action-line">
      <span>{phraseOf(offers, action.kind)}</span>{' '}
      {(offers.actions.find((one) => one.value === action.kind)?.fields ?? []).map((field) => (
        <Value key={field.name} field={field} action={action} offers={offers} merge={merge} onChange={onChange} />
      ))}
      <button type="button" className="link-button" onClick={onRemove} aria-label="remove this line">
        remove
      </button>
      {error && <p className="question-error">{error}</p>}
    </div>
  );
}

interface ValueProps {
  field: Schema<'RuleField'>;
  action: RuleAction;
  offers: Offers;
  merge: Schema<'Offer'>[];
  onChange: (part: Partial<RuleAction>) => void;
}

/** One value of an action, with the words around it. */
function Value({ field, action, offers, merge, onChange }: ValueProps) {
  const [before = '', after = ''] = field.phrase.split('…');
  return (
    <>
      {before}
      <Control field={field} action={action} offers={offers} merge={merge} onChange={onChange} />
      {after}{' '}
    </>
  );
}

function Control({ field, action, offers, merge, onChange }: ValueProps) {
  const value = String(action[field.name as keyof RuleAction] ?? '');
  const set = (to: string) => onChange({ [field.name]: to });
  switch (field.kind) {
    case 'who':
      return (
        <Who
          label={field.label}
          value={value}
          among={action.among}
          offers={choicesOf(field, offers)}
          turns={offers.turns}
          staff={offers.staff}
          onChange={(to, among) => onChange({ [field.name]: to, among })}
        />
      );
    case 'choice':
      return <Choice label={field.label} value={value} offers={choicesOf(field, offers)} onChange={set} />;
    case 'field':
      return (
        <Choice
          label={field.label}
          value={`${action.record ?? ''} ${action.field ?? ''}`.trim()}
          offers={choicesOf(field, offers)}
          onChange={(to) => {
            const [record = '', name = ''] = to.split(' ');
            onChange({ record, field: name });
          }}
        />
      );
    case 'number':
      return (
        <input
          aria-label={field.label}
          className="figures short"
          inputMode="numeric"
          value={value}
          onChange={(event) => set(event.target.value)}
        />
      );
    default:
      return <MergeText merge={merge} label={field.label} value={value} onChange={set} wide={field.kind === 'wide'} />;
  }
}

interface WhoProps {
  label: string;
  value: string | undefined;
  among: string | undefined;
  offers: Schema<'Offer'>[];
  turns: Schema<'Offer'>[];
  staff: Schema<'Offer'>[];
  onChange: (value: string, among: string) => void;
}

/** Somebody by name or by role, or one of several: by turns, or with the fewest open tasks. */
function Who({ label, value, among = '', offers, turns, staff, onChange }: WhoProps) {
  const chosen = among.split(',').filter(Boolean);
  const isTurn = turns.some((one) => one.value === value);
  return (
    <>
      <Choice
        label={label}
        value={value}
        offers={[...offers, ...turns]}
        onChange={(to) =>
          onChange(to, turns.some((one) => one.value === to) ? among || staff.map((one) => one.value).join(',') : '')
        }
      />
      {isTurn && (
        <span className="among" role="group" aria-label="Of whom">
          {staff.map((one) => (
            <label key={one.value}>
              <input
                type="checkbox"
                checked={chosen.includes(one.value)}
                onChange={(event) =>
                  onChange(
                    value ?? '',
                    (event.target.checked ? [...chosen, one.value] : chosen.filter((id) => id !== one.value)).join(','),
                  )
                }
              />{' '}
              {one.label.split(' ')[0]}
            </label>
          ))}
        </span>
      )}
    </>
  );
}

interface ChoiceProps {
  label: string;
  value: string | undefined;
  offers: Schema<'Offer'>[];
  onChange: (value: string) => void;
}

function Choice({ label, value = '', offers, onChange }: ChoiceProps) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {!offers.some((offer) => offer.value === value) && (
        <option value={value}>{value === '' ? 'choose' : 'what is gone'}</option>
      )}
      {offers.map((offer) => (
        <option key={offer.value} value={offer.value}>
          {offer.label}
        </option>
      ))}
    </select>
  );
}
