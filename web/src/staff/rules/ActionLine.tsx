import type { Schema } from '../../shared/api';
import type { Offers, RuleAction } from './queries';
import { MergeText } from './MergeText';
import { actionWords } from './rule';

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
      <span>{actionWords[action.kind]}</span> {fields(action, offers, merge, onChange)}
      <button type="button" className="link-button" onClick={onRemove} aria-label="take out this line">
        take out
      </button>
      {error && <p className="question-error">{error}</p>}
    </div>
  );
}

function fields(action: RuleAction, offers: Offers, merge: Schema<'Offer'>[], onChange: Props['onChange']) {
  switch (action.kind) {
    case 'lead':
    case 'owner':
    case 'notice':
      return (
        <Who
          label="Who"
          value={action.staff}
          among={action.among}
          offers={offers.staff}
          staff={offers.staff}
          onChange={(staff, among) => onChange({ staff, among })}
        />
      );
    case 'message':
      return (
        <Choice
          label="Message"
          value={action.template}
          offers={offers.templates}
          onChange={(template) => onChange({ template })}
          gone="a message that is gone"
        />
      );
    case 'field':
      return (
        <>
          <Choice
            label="Field"
            value={`${action.record ?? ''} ${action.field ?? ''}`}
            offers={offers.fields.map((one) => ({ value: `${one.record} ${one.field}`, label: one.label }))}
            onChange={(value) => {
              const [record = '', field = ''] = value.split(' ');
              onChange({ record, field });
            }}
            gone="a field that is gone"
          />{' '}
          to <MergeText merge={merge} label="Value" value={action.value} onChange={(value) => onChange({ value })} />
        </>
      );
    case 'wish':
      return (
        <>
          <Choice
            label="About"
            value={action.about}
            offers={[
              { value: 'appointment', label: 'an appointment' },
              { value: 'quote', label: 'a quote' },
            ]}
            onChange={(about) => onChange({ about })}
            gone=""
          />
          : <MergeText merge={merge} label="Wish" value={action.text} onChange={(text) => onChange({ text })} wide />
        </>
      );
    case 'checklist':
      return (
        <Choice
          label="Checklist"
          value={action.checklist}
          offers={offers.checklists}
          onChange={(checklist) => onChange({ checklist })}
          gone="a checklist that is gone"
        />
      );
    case 'stage':
      return (
        <Choice
          label="Stage"
          value={action.stage}
          offers={offers.stages}
          onChange={(stage) => onChange({ stage })}
          gone="a stage that is gone"
        />
      );
    case 'tag':
      return (
        <>
          <Choice
            label="Record"
            value={action.record}
            offers={[
              { value: 'client', label: 'the client' },
              { value: 'project', label: 'the project' },
            ]}
            onChange={(record) => onChange({ record })}
            gone=""
          />{' '}
          <MergeText merge={merge} label="Tag" value={action.tag} onChange={(tag) => onChange({ tag })} />
        </>
      );
    case 'clock':
      return 'from then on';
    case 'note':
      return <MergeText merge={merge} label="Note" value={action.text} onChange={(text) => onChange({ text })} wide />;
    case 'task':
      return (
        <>
          <MergeText merge={merge} label="Task" value={action.name} onChange={(name) => onChange({ name })} wide /> for{' '}
          <Who
            label="Doer"
            value={action.doer}
            among={action.among}
            offers={[
              { value: 'lead', label: 'whoever leads' },
              { value: 'coordinator', label: 'the coordinator' },
              ...offers.staff,
            ]}
            staff={offers.staff}
            onChange={(doer, among) => onChange({ doer, among })}
          />{' '}
          in{' '}
          <input
            aria-label="Working days"
            className="figures short"
            inputMode="numeric"
            value={action.days ?? ''}
            onChange={(event) => onChange({ days: event.target.value })}
          />{' '}
          working days
        </>
      );
  }
}

interface WhoProps {
  label: string;
  value: string | undefined;
  among: string | undefined;
  offers: Schema<'Offer'>[];
  staff: Schema<'Offer'>[];
  onChange: (value: string, among: string) => void;
}

const turns = [
  { value: 'rota', label: 'by turns, of' },
  { value: 'fewest', label: 'whoever has the fewest open tasks, of' },
];

/** Somebody by name or by role, or one of several: by turns, or with the fewest open tasks. */
function Who({ label, value, among = '', offers, staff, onChange }: WhoProps) {
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
        gone="somebody who is here no more"
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
  gone: string;
  onChange: (value: string) => void;
}

function Choice({ label, value = '', offers, gone, onChange }: ChoiceProps) {
  return (
    <select aria-label={label} value={value} onChange={(event) => onChange(event.target.value)}>
      {!offers.some((offer) => offer.value === value) && (
        <option value={value}>{value === '' ? 'choose' : gone}</option>
      )}
      {offers.map((offer) => (
        <option key={offer.value} value={offer.value}>
          {offer.label}
        </option>
      ))}
    </select>
  );
}
