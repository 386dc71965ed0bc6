import { useRef, useState } from 'react';
import { useToast } from '../shell/Toast';
import { useTemplateActs, useTemplates, type Quote } from './queries';

/** Keeps what a quote says under a name, for others to begin from. */
export function KeepAsTemplate({ quote, changed }: { quote: Quote; changed: boolean }) {
  const [name, setName] = useState<string | null>(null);
  const templates = useTemplates().data?.items ?? [];
  const { keep } = useTemplateActs();
  const toast = useToast();
  const sending = useRef(false);
  if (name === null)
    return (
      <button
        type="button"
        className="link-button"
        onClick={() => setName(quote.project?.label.replace(/^P-\d+ /, '') ?? '')}
      >
        Keep as a template
      </button>
    );
  const taken = templates.some((one) => one.name === name.trim());
  const done = () => {
    // A second Enter comes before the first is known to be under way.
    if (sending.current) return;
    sending.current = true;
    keep.mutate(
      { quote: quote.id, name: name.trim() },
      {
        onSettled: () => {
          sending.current = false;
        },
        onSuccess: () => {
          setName(null);
          toast({ words: `${name.trim()} is a template now. U takes it back.` });
        },
      },
    );
  };
  return (
    <span className="quote-template-name">
      <input
        aria-label="Name of the template"
        aria-describedby="template-hint"
        value={name}
        maxLength={100}
        autoFocus
        onFocus={(event) => {
          event.target.select();
          event.target.parentElement?.scrollIntoView({ block: 'nearest' });
        }}
        onChange={(event) => setName(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') done();
          if (event.key === 'Escape') {
            event.stopPropagation();
            setName(null);
          }
        }}
      />{' '}
      <button type="button" className="link-button" disabled={keep.isPending || name.trim() === ''} onClick={done}>
        {taken ? 'Replace it' : 'Keep it'}
      </button>{' '}
      <button type="button" className="link-button" onClick={() => setName(null)}>
        Leave it
      </button>
      <small id="template-hint" className="second">
        {taken && 'A template has this name already. '}
        {changed ? 'It is kept as last saved.' : 'Its lines, sums and words; not what this client answered.'}
      </small>
      {keep.error && (
        <span className="staff-field-error" role="alert">
          {keep.error.message}
        </span>
      )}
    </span>
  );
}
