import { Link } from 'react-router';
import type { Schema } from '../../../shared/api';
import { LetterHtml } from '../LetterHtml';
import { LengthWords } from '../TextLength';

interface Props {
  preview: Schema<'TemplatePreview'> | undefined;
  stale: boolean;
  records: { id: string; label: string; path: string }[];
  record: string;
  onRecord: (id: string) => void;
}

/** How a template reads, with a record that is there. */
export function Reading({ preview, stale, records, record, onRecord }: Props) {
  const at = records.findIndex((one) => one.id === record);
  const shown = records[at];
  const go = (to: number) => {
    const next = records[(to + records.length) % records.length];
    if (next) onRecord(next.id);
  };
  return (
    <div className={stale ? 'reading stale' : 'reading'}>
      <div className="pillar-head">
        <h2>As it would read</h2>
        <small>{shown ? <Link to={shown.path}>{shown.label}</Link> : 'with examples'}</small>
      </div>
      {records.length > 1 && (
        <p className="reading-walk">
          <button type="button" onClick={() => go(at - 1)} aria-label="The example before">
            ←
          </button>
          <span className="second figures">
            {at + 1} of {records.length}
          </span>
          <button type="button" onClick={() => go(at + 1)} aria-label="The next example">
            →
          </button>
        </p>
      )}
      {preview && (
        <>
          <p>
            <span className="second">Subject</span> <b>{preview.subject}</b>
          </p>
          <LetterHtml html={preview.html} text={preview.text} />
          {preview.gaps.length > 0 && (
            <p className="reading-gaps">
              <b>Nothing to fill in:</b> {preview.gaps.map((one) => one.label).join(', ')}. Such a letter waits, and you
              are asked what stands there.
            </p>
          )}
          {preview.textMessage !== '' && (
            <>
              <h3 className="group-label">As a text message</h3>
              <p className="text-bubble">{preview.textMessage}</p>
              <LengthWords length={preview.length} />
            </>
          )}
        </>
      )}
    </div>
  );
}
