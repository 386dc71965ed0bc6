import type { Editor } from '@tiptap/core';
import { useEditorState } from '@tiptap/react';
import { use } from 'react';
import { chosenField } from './extensions';
import { Fields, labelOf } from './fields';

/** What stands for the chosen field where it is empty. */
export function FieldWords({ editor }: { editor: Editor }) {
  const { fields } = use(Fields);
  const chosen = useEditorState({ editor, selector: ({ editor: now }) => chosenField(now) });
  if (!chosen) return null;
  const change = (or: string | null) => {
    const at = editor.state.selection.from;
    editor.chain().updateAttributes('field', { or }).setNodeSelection(at).run();
  };
  return (
    <p className="field-words">
      <span>
        Where “{labelOf(fields, chosen.field)}” is empty,{' '}
        <label>
          write{' '}
          <input
            value={chosen.or ?? ''}
            maxLength={200}
            onChange={(event) => change(event.target.value === '' ? null : event.target.value)}
          />
        </label>
      </span>
      <label>
        <input
          type="checkbox"
          checked={chosen.or === ''}
          onChange={(event) => change(event.target.checked ? '' : null)}
        />{' '}
        leave it empty
      </label>
      <span className="second">{chosen.or === null && 'Otherwise the letter waits, and you are asked.'}</span>
    </p>
  );
}
