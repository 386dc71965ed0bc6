import { ClientFinder } from '../people/ClientFinder';
import { ChoiceBlocks } from '../shell/ChoiceBlocks';
import type { Schema } from '../../shared/api';
import { useSignedIn } from '../session';
import type { InquiryDraft } from './draft';

interface Props {
  draft: InquiryDraft;
  forms: Schema<'Offer'>[];
  slug: string;
  assets: string[];
  onChange: (part: Partial<InquiryDraft>) => void;
}

const channels = [
  { value: 'phone', hotkey: '', label: 'Phone' },
  { value: 'desk', hotkey: '', label: 'Desk' },
  { value: 'mail', hotkey: '', label: 'Mail' },
];

/** In which form, from whom, and how it came. */
export function From({ draft, forms, slug, assets, onChange }: Props) {
  const { business } = useSignedIn();
  return (
    <div className="inquiry-from">
      <div className="pillar-head">
        <h1>Inquiry</h1>
      </div>
      <div className="staff-field">
        <label htmlFor="inquiry-form">Form</label>
        <select id="inquiry-form" value={slug} onChange={(event) => onChange({ form: event.target.value })}>
          {forms.map((form) => (
            <option key={form.value} value={form.value}>
              {form.label}
            </option>
          ))}
        </select>
      </div>
      <h2 className="group-label">How it came</h2>
      <ChoiceBlocks
        label="How it came"
        options={channels}
        chosen={draft.channel}
        onChoose={(channel) => onChange({ channel: channel as InquiryDraft['channel'] })}
      />
      <p>
        <label className="inquiry-check">
          <input
            type="checkbox"
            checked={draft.answered}
            onChange={(event) => onChange({ answered: event.target.checked })}
          />{' '}
          you have answered them
        </label>
        <span className="second">
          {draft.answered ? 'Its reply clock stops at once.' : 'Its reply clock runs as for any other.'}
        </span>
      </p>
      <h2 className="group-label">From</h2>
      {draft.client ? (
        <>
          <p className="line-top">
            <b>{draft.client.label}</b>
            <button type="button" className="link-button" onClick={() => onChange({ client: null })}>
              Remove
            </button>
          </p>
          {assets.length > 0 && (
            <>
              <h3 className="group-label">On file: {business.assetWord}</h3>
              <ul className="rows">
                {assets.map((asset) => (
                  <li key={asset}>{asset}</li>
                ))}
              </ul>
            </>
          )}
        </>
      ) : (
        <>
          <ClientFinder label="Somebody on file" onChoose={(client) => onChange({ client })} />
          <p className="second">Or just write; the plan says who it may be.</p>
        </>
      )}
    </div>
  );
}
