import type { JSONContent } from '@tiptap/core';
import { lazy, Suspense, useState } from 'react';
import { ComingRows } from '../../shared/Notice';
import { fromText, plainOf } from './handText';

const editor = () => import('./templates/LetterEditor');
const LetterEditor = lazy(async () => ({ default: (await editor()).LetterEditor }));

interface Props {
  asText: boolean;
  text: string;
  document: JSONContent | null;
  onChange: (part: { text?: string; document: JSONContent | null }) => void;
}

/** What a letter by hand says: plainly, or with headings, lists and links. A text message is plain. */
export function HandText({ asText, text, document, onChange }: Props) {
  const rich = asText ? null : document;
  // How it stood when it was made plain: as long as its words are the same, it comes back as it was.
  const [was, setWas] = useState<JSONContent | null>(null);
  const [failed, setFailed] = useState(false);
  const toggle = () => {
    if (rich) {
      setWas(rich);
      onChange({ document: null });
      return;
    }
    // The plain field stays until the other one is here: without a connection nothing is taken away.
    editor().then(
      () => {
        setFailed(false);
        onChange({ document: was && plainOf(was) === text ? was : fromText(text) });
      },
      () => setFailed(true),
    );
  };
  return (
    <>
      <p className="write-how">
        {rich ? (
          <span className="field-label">Text</span>
        ) : (
          <label className="field-label" htmlFor="write-text">
            Text
          </label>
        )}
        {!asText && (
          <button type="button" className="link-button" onClick={toggle}>
            {rich ? 'Write it plainly' : 'With headings, lists, links'}
          </button>
        )}
      </p>
      {failed && !rich && (
        <p className="fault" role="alert">
          It could not be had: the connection may be gone. What you wrote is here.
        </p>
      )}
      {rich ? (
        <Suspense fallback={<ComingRows rows={6} />}>
          <LetterEditor
            template=""
            document={rich}
            onChange={(changed) => onChange({ document: changed, text: plainOf(changed) })}
          />
        </Suspense>
      ) : (
        <textarea
          id="write-text"
          rows={asText ? 5 : 14}
          value={text}
          maxLength={20_000}
          onChange={(event) => onChange({ text: event.target.value, document: null })}
        />
      )}
    </>
  );
}
