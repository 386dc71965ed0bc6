import { useState } from 'react';
import type { Added } from './deciding';
import { useKey } from '../keys';
import { isUnsaved } from '../shell/useUnsaved';
import { EditLine } from './EditLine';
import type { LineEditor } from './LineEditor';

const kinds: Record<Added['kind'], { words: string; fields: Parameters<typeof LineEditor>[0]['fields'] }> = {
  task: {
    words: 'a task',
    fields: [
      { key: 'name', label: 'Task', kind: 'text', value: '' },
      { key: 'assignee', label: 'Who', kind: 'staff', value: '' },
      { key: 'due', label: 'By', kind: 'day', value: '' },
    ],
  },
  note: { words: 'a note', fields: [{ key: 'text', label: 'Note in the project', kind: 'text', value: '' }] },
  notice: { words: 'a notice', fields: [{ key: 'staff', label: 'Tell', kind: 'staff', value: '' }] },
  owner: { words: 'an owner', fields: [{ key: 'staff', label: 'Looks after the client', kind: 'staff', value: '' }] },
  tag: { words: 'a tag', fields: [{ key: 'tag', label: 'Tag on the project', kind: 'text', value: '' }] },
};

/** Lines that somebody adds to a plan by hand. */
export function AddLines({ id, onAdd }: { id: string; onAdd: (one: Added) => void }) {
  const all = Object.keys(kinds) as Added['kind'][];
  const unsaved = (one: Added['kind']) => `${id}.add.${one}`;
  const [kind, setKind] = useState<Added['kind'] | null>(() => all.find((one) => isUnsaved(unsaved(one))) ?? null);
  // A task is what is added most; the others are a press away.
  useKey('add', kind === null ? () => setKind('task') : undefined);
  if (kind)
    return (
      <div className="add-lines">
        <EditLine
          key={kind}
          name={unsaved(kind)}
          fields={kinds[kind].fields}
          words="Add"
          onKeep={(values) => {
            onAdd({ kind, values });
            setKind(null);
          }}
          onCancel={() => setKind(null)}
        />
      </div>
    );
  return (
    <p className="add-lines second">
      Add <kbd aria-hidden="true">+</kbd>{' '}
      {all.map((one) => (
        <button key={one} type="button" className="link-button" onClick={() => setKind(one)}>
          {kinds[one].words}
        </button>
      ))}
    </p>
  );
}
