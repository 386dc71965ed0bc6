import { EditorContent, useEditor } from '@tiptap/react';
import { use, useEffect, useRef, useState } from 'react';
import { isOurs } from './ours';
import { forLine, type Offering } from './extensions';
import { Fields } from './fields';
import { docToLine, lineToDoc } from './fieldText';
import { FieldWords } from './FieldWords';
import { Offered } from './Offered';

interface Props {
  label: string;
  value: string;
  onChange: (value: string) => void;
  oneLine?: boolean;
  fault?: string | undefined;
}

/** A line of words and fields: a subject, or a text message. */
export function FieldLine({ label, value, onChange, oneLine = false, fault }: Props) {
  const { fields, values } = use(Fields);
  const known = useRef(fields);
  const [offering, setOffering] = useState<Offering | null>(null);
  const told = useRef(value);
  const latest = useRef(onChange);
  useEffect(() => {
    latest.current = onChange;
    known.current = fields;
  });
  const editor = useEditor({
    // eslint-disable-next-line react-hooks/refs -- read when somebody types, not while rendering
    extensions: forLine(() => known.current, setOffering, oneLine),
    content: lineToDoc(value),
    injectCSS: false,
    editorProps: {
      handleDOMEvents: { keydown: (_, event) => isOurs(event) },
      attributes: { role: 'textbox', 'aria-label': label, class: 'field-line' },
    },
    onUpdate: ({ editor: now }) => {
      told.current = docToLine(now.getJSON());
      latest.current(told.current);
    },
  });
  useEffect(() => {
    // Brought back or discarded: what stands there is replaced; what was typed here is there already.
    if (value !== told.current) {
      told.current = value;
      editor.commands.setContent(lineToDoc(value), { emitUpdate: false });
    }
  }, [value, editor]);
  return (
    <>
      <EditorContent editor={editor} className={fault ? 'field-line-box wrong' : 'field-line-box'} />
      <Offered offering={offering} values={values} />
      <FieldWords editor={editor} />
      {fault && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
    </>
  );
}
