import type { Schema } from '../../shared/api';
import type { Offers, RuleAction } from './queries';
import { actionWords } from './rule';

interface Props {
  action: RuleAction;
  offers: Offers;
  error: string | undefined;
  onChange: (part: Partial<RuleAction>) => void;
  onRemove: () => void;
}

/** One thing that a rule does, as a sentence. */
export function ActionLine({ action, offers, error, onChange, onRemove }: Props) {
  return (
    <div className="action-line">
      <span>{actionWords[action.kind]}</span> {fields(action, offers, onChange)}
      <button type="button" className="link-button" onClick={onRemove} aria-label="take out this line">
        take out
      </button>
      {error && <p className="question-error">{error}</p>}
    </div>
  );
}

function fields(action: RuleAction, offers: Offers, onChange: Props['onChange']) {
  switch (action.kind) {
    case 'lead':
    case 'notice':
      return (
        <Choice
          label="Who"
          value={action.staff}
          offers={offers.staff}
          onChange={(staff) => onChange({ staff })}
          gone="somebody who is here no more"
        />
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
          <Text label="Tag" value={action.tag} onChange={(tag) => onChange({ tag })} />
        </>
      );
    case 'note':
      return <Text label="Note" value={action.text} onChange={(text) => onChange({ text })} wide />;
    case 'task':
      return (
        <>
          <Text label="Task" value={action.name} onChange={(name) => onChange({ name })} wide /> for{' '}
          <Choice
            label="Doer"
            value={action.doer}
            offers={[
              { value: 'lead', label: 'whoever leads' },
              { value: 'coordinator', label: 'the coordinator' },
              ...offers.staff,
            ]}
            onChange={(doer) => onChange({ doer })}
            gone="somebody who is here no more"
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

interface TextProps {
  label: string;
  value: string | undefined;
  wide?: boolean;
  onChange: (value: string) => void;
}

function Text({ label, value = '', wide = false, onChange }: TextProps) {
  return (
    <input
      aria-label={label}
      className={wide ? 'wide' : ''}
      value={value}
      maxLength={2000}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
