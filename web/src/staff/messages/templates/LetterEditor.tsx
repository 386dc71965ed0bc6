import type { JSONContent } from '@tiptap/core';
import { EditorContent, useEditor } from '@tiptap/react';
import { use, useEffect, useRef, useState } from 'react';
import { isOurs } from './ours';
import { forLetter, type Offering } from './extensions';
import { Fields } from './fields';
import { FieldWords } from './FieldWords';
import { LetterTools } from './LetterTools';
import { Offered } from './Offered';

interface Props {
  /** Id of the template that pictures are kept for; empty for a letter by hand, which takes its own as files. */
  template: string;
  document: JSONContent;
  onChange: (document: JSONContent) => void;
  fault?: string | undefined;
}

/** The text of a letter. */
export function LetterEditor({ template, document, onChange, fault }: Props) {
  const { fields, values } = use(Fields);
  const known = useRef(fields);
  const [offering, setOffering] = useState<Offering | null>(null);
  const told = useRef<JSONContent>(document);
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
    known.current = fields;
  });
  const editor = useEditor({
    // eslint-disable-next-line react-hooks/refs -- read when somebody types, not while rendering
    extensions: forLetter(() => known.current, setOffering),
    content: document,
    injectCSS: false,
    editorProps: {
      handleDOMEvents: { keydown: (_, event) => isOurs(event) },
      attributes: { role: 'textbox', 'aria-multiline': 'true', 'aria-label': 'Text', class: 'letter-field' },
    },
    onUpdate: ({ editor: now }) => {
      told.current = now.getJSON();
      latest.current(told.current);
    },
  });
  useEffect(() => {
    if (document !== told.current) {
      told.current = document;
      editor.commands.setContent(document, { emitUpdate: false });
    }
  }, [document, editor]);
  return (
    <div className={fault ? 'letter-editor wrong' : 'letter-editor'}>
      <LetterTools editor={editor} template={template} />
      <EditorContent editor={editor} />
      <Offered offering={offering} values={values} />
      <FieldWords editor={editor} />
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
    </div>
  );
}
