import type { Editor } from '@tiptap/core';
import { useState } from 'react';
import { Uploads } from '../../../form/uploads';
import { UploadLines, useBringing } from '../../shell/Bringing';
import { AskEnd } from './AskEnd';
import { keepFiles } from './queries';

const limits = { maxFiles: 1, maxBytes: 5_242_880 };
const here = 'picture';

interface Props {
  editor: Editor;
  template: string;
  onDone: () => void;
}

/** A picture in the text: what it shows, in words, for whoever does not see it, and the file. */
export function AddPicture({ editor, template, onDone }: Props) {
  const [alt, setAlt] = useState('');
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const [uploads] = useState(() => new Uploads());
  const { chosen, open, ways, chooser } = useBringing({
    uploads,
    of: here,
    limits,
    label: 'Picture',
    accept: 'image/*',
  });
  const kept = chosen[0]?.kept;
  const put = () => {
    if (busy) return;
    if (!kept?.type.startsWith('image/')) {
      setFault('Choose a picture first.');
      return;
    }
    if (!alt.trim()) {
      setFault('Say what it shows: some readers do not see it.');
      return;
    }
    setBusy(true);
    keepFiles(template, [kept.id]).then(
      ({ items }) => {
        const file = items[0];
        if (file)
          editor
            .chain()
            .focus()
            .insertContent({ type: 'picture', attrs: { file: file.id, alt: alt.trim() } })
            .run();
        onDone();
      },
      (error: unknown) => {
        setBusy(false);
        setFault(error instanceof Error ? error.message : 'It was not kept.');
      },
    );
  };
  return (
    <form
      className="letter-asks"
      {...ways}
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone();
      }}
    >
      <button type="button" onClick={open}>
        Choose a picture
      </button>
      {chooser}
      <UploadLines uploads={uploads} of={here} here={<span className="second">is here</span>} />
      <label>
        It shows <input value={alt} maxLength={300} onChange={(event) => setAlt(event.target.value)} />
      </label>
      <AskEnd fault={fault} busy={busy} onDone={onDone} />
    </form>
  );
}
