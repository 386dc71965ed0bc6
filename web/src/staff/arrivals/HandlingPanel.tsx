import Button from '@mui/material/Button';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { KeyScope, useLetters } from '../keys';
import { useUnsaved } from '../shell/useUnsaved';
import { useOffers } from '../people/queries';
import { ChoiceBlocks } from '../shell/ChoiceBlocks';
import { useEscape } from '../shell/useEscape';
import type { Act } from './handling';
import { atBusiness, reminders } from './reminders';

interface Props {
  kind: 'assign' | 'remind' | 'note';
  /** Whom it is about, in words. */
  name: string;
  /** What its note is kept under. */
  draft: string;
  now: string;
  error: string | null;
  onAct: (act: Act) => void;
  onCancel: () => void;
}

/** Asks for what an act needs: who, until when, or what to note. Choosing does it; it can be undone. */
export function HandlingPanel({ kind, ...props }: Props) {
  return (
    <KeyScope>
      {kind === 'assign' ? <Assign {...props} /> : kind === 'remind' ? <Remind {...props} /> : <Note {...props} />}
    </KeyScope>
  );
}

type Panel = Omit<Props, 'kind'>;

function Assign({ name, error, onAct, onCancel }: Panel) {
  const offers = useOffers();
  const staff = offers.data?.staff ?? [];
  const options = [...staff.map((one) => ({ value: one.value, label: one.label })), { value: '', label: 'Nobody' }].map(
    (one, i) => ({ ...one, hotkey: i < 9 ? String(i + 1) : '' }),
  );
  const give = (assignee: string) => onAct({ act: 'assign', assignee });
  return (
    <Frame
      title={`Give ${name} to …`}
      options={options}
      onChoose={give}
      error={error ?? offers.error?.message ?? null}
      onCancel={onCancel}
    >
      <p className="second">Nothing changes for the client: the promise to answer runs on.</p>
    </Frame>
  );
}

function Remind({ name, now, error, onAct, onCancel }: Panel) {
  const [own, setOwn] = useState('');
  const remind = (remindAt: string) => remindAt && onAct({ act: 'remind', remindAt });
  return (
    <Frame
      title={`Remind me of ${name} …`}
      options={reminders(now)}
      onChoose={remind}
      error={error}
      onCancel={onCancel}
    >
      <form
        className="handling-own"
        onSubmit={(event) => {
          event.preventDefault();
          remind(atBusiness(own, now));
        }}
      >
        <label>
          or at <input type="datetime-local" value={own} onChange={(event) => setOwn(event.target.value)} required />
        </label>{' '}
        <Button type="submit" size="small" variant="outlined">
          Put off
        </Button>{' '}
        <span className="second">The promise to answer runs on.</span>
      </form>
    </Frame>
  );
}

function Note({ name, draft, error, onAct, onCancel }: Panel) {
  const [text, setText, forget] = useUnsaved(`note.${draft}`, '');
  const keep = () => {
    if (text.trim()) onAct({ act: 'note', text });
  };
  const kept = useRef(false);
  // Forgotten when the panel closes because the note was taken; a note that was refused stays.
  useEffect(
    () => () => {
      if (kept.current) forget();
    },
    [forget],
  );
  useEffect(() => {
    if (error) kept.current = false;
  }, [error]);
  return (
    <Frame
      title={`Note beside ${name}`}
      error={error}
      onCancel={() => {
        forget();
        onCancel();
      }}
    >
      <form
        className="handling-note"
        onSubmit={(event) => {
          event.preventDefault();
          kept.current = true;
          keep();
        }}
      >
        <textarea
          aria-label="Note"
          rows={3}
          maxLength={2000}
          autoFocus
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
              event.preventDefault();
              event.stopPropagation();
              kept.current = true;
              keep();
            }
          }}
        />
        <Button type="submit" size="small" variant="contained" disabled={text.trim() === ''}>
          Save the note
        </Button>{' '}
        <span className="second">Colleagues see it; the client does not.</span>
      </form>
    </Frame>
  );
}

interface FrameProps {
  title: string;
  options?: { value: string; hotkey: string; label: string }[];
  onChoose?: (value: string) => void;
  error: string | null;
  onCancel: () => void;
  children: ReactNode;
}

function Frame({ title, options = [], onChoose, error, onCancel, children }: FrameProps) {
  const panel = useRef<HTMLDivElement>(null);
  useLetters(options.map((option) => option.hotkey).filter(Boolean), (letter) => {
    const option = options.find((one) => one.hotkey === letter);
    if (option) onChoose?.(option.value);
  });
  useEffect(() => {
    const inside =
      panel.current?.contains(document.activeElement) && !(document.activeElement instanceof HTMLButtonElement);
    if (!inside) panel.current?.querySelector('button')?.focus();
  }, [options.length]);
  useEscape(onCancel);
  return (
    <div className="aside-panel" ref={panel}>
      <h2>{title}</h2>
      {options.length > 0 && onChoose && (
        <ChoiceBlocks label={title} options={options} chosen={null} onChoose={onChoose} />
      )}
      {children}
      {error && (
        <p className="question-error" role="alert">
          {error}
        </p>
      )}
      <p className="second">
        <button type="button" className="link-button" onClick={onCancel}>
          Cancel
        </button>{' '}
        <kbd>Esc</kbd>
      </p>
    </div>
  );
}
