import type { Editor } from '@tiptap/core';
import { useEditorState } from '@tiptap/react';
import { use, useState } from 'react';
import { AddPicture } from './AddPicture';
import { AskEnd } from './AskEnd';
import { Fields } from './fields';

type Asking = 'link' | 'button' | 'only' | 'picture' | null;

/** What can be done with the text: one row of words; what needs more is asked below, in the flow. */
export function LetterTools({ editor, template }: { editor: Editor; template: string }) {
  const { fields } = use(Fields);
  const [asking, setAsking] = useState<Asking>(null);
  const is = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      heading: now.isActive('heading'),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      link: now.isActive('link'),
      only: now.isActive('only'),
    }),
  });
  const chain = () => editor.chain().focus();
  const ask = (what: Asking) => setAsking((now) => (now === what ? null : what));
  const tool = (label: string, pressed: boolean, act: () => void) => (
    <button type="button" aria-pressed={pressed} onMouseDown={(event) => event.preventDefault()} onClick={act}>
      {label}
    </button>
  );
  return (
    <>
      <div className="letter-tools" role="toolbar" aria-label="Text tools">
        {tool('Heading', is.heading, () => chain().toggleHeading({ level: 2 }).run())}
        {tool('Bold', is.bold, () => chain().toggleBold().run())}
        {tool('Italic', is.italic, () => chain().toggleItalic().run())}
        {tool('List', is.bullets, () => chain().toggleBulletList().run())}
        {tool('Numbers', is.numbers, () => chain().toggleOrderedList().run())}
        {tool('Link', is.link, () => (is.link ? chain().extendMarkRange('link').unsetLink().run() : ask('link')))}
        {tool('Button', false, () => ask('button'))}
        {template !== '' && tool('Picture', false, () => ask('picture'))}
        {fields.length > 0 &&
          tool('Only if', is.only, () =>
            is.only ? chain().extendMarkRange('only').unsetMark('only').run() : ask('only'),
          )}
        {fields.length > 0 && (
          <select
            aria-label="Put in a field"
            value=""
            onChange={(event) =>
              chain()
                .insertContent({ type: 'field', attrs: { field: event.target.value, or: null } })
                .run()
            }
          >
            <option value="">Field…</option>
            {fields.map((field) => (
              <option key={field.name} value={field.name}>
                {field.label}
              </option>
            ))}
          </select>
        )}
      </div>
      {asking === 'picture' && <AddPicture editor={editor} template={template} onDone={() => setAsking(null)} />}
      {asking && asking !== 'picture' && (
        <Asked key={asking} what={asking} editor={editor} onDone={() => setAsking(null)} />
      )}
    </>
  );
}

const address = /^(https?:\/\/|mailto:|tel:)\S+$/i;

/** What a link, a button or a condition needs to know. */
function Asked({
  what,
  editor,
  onDone,
}: {
  what: Exclude<Asking, 'picture' | null>;
  editor: Editor;
  onDone: () => void;
}) {
  const { fields } = use(Fields);
  const [href, setHref] = useState('');
  const [label, setLabel] = useState('');
  const [field, setField] = useState(fields.some((one) => one.name === 'link') ? 'link' : '');
  const [empty, setEmpty] = useState(false);
  const [fault, setFault] = useState('');
  const put = () => {
    const chain = editor.chain().focus();
    if (what === 'only') {
      if (!field) {
        setFault('Choose a field.');
        return;
      }
      if (editor.state.selection.empty) {
        setFault('Choose the words in the text first.');
        return;
      }
      chain.setMark('only', { field, empty }).run();
    } else if (what === 'button') {
      if (!label.trim()) {
        setFault('Write what stands on it.');
        return;
      }
      if (!field && !address.test(href)) {
        setFault('Write an address that begins with https://.');
        return;
      }
      chain.insertContent({ type: 'button', attrs: { label: label.trim(), field, href: field ? '' : href } }).run();
    } else {
      if (!address.test(href)) {
        setFault('Write an address that begins with https://, mailto: or tel:.');
        return;
      }
      if (editor.state.selection.empty) {
        chain.insertContent({ type: 'text', text: href, marks: [{ type: 'link', attrs: { href } }] }).run();
      } else chain.setLink({ href }).run();
    }
    onDone();
  };
  const whichField = (
    <select aria-label="Field" value={field} onChange={(event) => setField(event.target.value)}>
      <option value="">{what === 'button' ? 'an address' : 'choose a field'}</option>
      {fields.map((one) => (
        <option key={one.name} value={one.name}>
          {one.label}
        </option>
      ))}
    </select>
  );
  return (
    <form
      className="letter-asks"
      onSubmit={(event) => {
        event.preventDefault();
        put();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone();
      }}
    >
      {what === 'only' && (
        <span>
          The chosen words only if {whichField}{' '}
          <select
            aria-label="How"
            value={empty ? 'empty' : 'filled'}
            onChange={(e) => setEmpty(e.target.value === 'empty')}
          >
            <option value="filled">is known</option>
            <option value="empty">is not known</option>
          </select>
        </span>
      )}
      {what === 'button' && (
        <span>
          <label>
            Button <input value={label} maxLength={80} onChange={(event) => setLabel(event.target.value)} autoFocus />
          </label>{' '}
          {fields.length > 0 && <>to {whichField}</>}
        </span>
      )}
      {(what === 'link' || (what === 'button' && !field)) && (
        <label>
          Address{' '}
          <input
            value={href}
            placeholder="https://"
            onChange={(event) => setHref(event.target.value)}
            autoFocus={what === 'link'}
          />
        </label>
      )}
      <AskEnd fault={fault} onDone={onDone} />
    </form>
  );
}
