import { useEffect, useRef, useState } from 'react';
import { KeyScope, useLetters } from '../keys';
import { useOffers } from '../people/queries';
import { ChoiceBlocks } from '../shell/ChoiceBlocks';
import { useEscape } from '../shell/useEscape';
import { StaffField } from '../shell/StaffField';
import { useUnsaved } from '../shell/useUnsaved';
import { asideReasons } from './aside';
import type { AsideReason } from './queries';

interface Props {
  name: string;
  onChoose: (reason: AsideReason, note: string, duplicateOf: string) => void;
  /** Whether it is one: that one may say what it doubles. */
  /** What its note is kept under. */
  draft: string;
  one: boolean;
  onCancel: () => void;
  error: string | null;
}

/** Asks why a submission goes out of the way. Choosing a reason does it; it can be undone. */
export function AsidePanel(props: Props) {
  return (
    <KeyScope>
      <Reasons {...props} />
    </KeyScope>
  );
}

function Reasons({ name, draft, one, onChoose, onCancel, error }: Props) {
  const [note, setNote, forget] = useUnsaved(`aside.${draft}`, '');
  const [double, setDouble] = useState('');
  const own = useOffers().data?.asideReasons ?? [];
  const choose = (reason: string) => {
    forget();
    const usual = asideReasons.find(({ value }) => value === reason)?.value;
    // A reason of the business's own is something else, in its words.
    if (usual) onChoose(usual, note, usual === 'duplicate' ? double.trim() : '');
    else onChoose('other', [reason, note.trim()].filter(Boolean).join('. '), '');
  };
  const panel = useRef<HTMLDivElement>(null);
  const options = [
    ...asideReasons.slice(0, -1),
    ...own.map((one) => ({ value: one, label: one })),
    ...asideReasons.slice(-1),
  ].map((reason, i) => ({ ...reason, ...(i < 9 ? { hotkey: String(i + 1) } : {}) }));
  useLetters(
    options.flatMap((option) => option.hotkey ?? []),
    (letter) => {
      const option = options.find((one) => one.hotkey === letter);
      if (option) choose(option.value);
    },
  );
  useEffect(() => {
    panel.current?.querySelector('button')?.focus();
  }, []);
  useEscape(onCancel);
  return (
    <div className="aside-panel" ref={panel}>
      <h2>
        Why {name.startsWith('these ') ? 'are' : 'is'} {name} set aside?
      </h2>
      <ChoiceBlocks label="Reason" options={options} chosen={null} onChoose={choose} />
      <StaffField
        label="Note, if you like, before you choose"
        value={note}
        maxLength={500}
        onChange={(event) => setNote(event.target.value)}
        error={error ?? undefined}
      />
      {one && (
        <StaffField
          label="A duplicate of which number, if you know"
          value={double}
          maxLength={20}
          placeholder="A-0123"
          onChange={(event) => setDouble(event.target.value)}
        />
      )}
      <p className="second">
        It stays on file under Set aside.{' '}
        <button type="button" className="link-button" onClick={onCancel}>
          Cancel
        </button>{' '}
        <kbd>Esc</kbd>
      </p>
    </div>
  );
}
