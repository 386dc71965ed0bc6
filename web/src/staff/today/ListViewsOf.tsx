import { useState } from 'react';
import { useListViews } from '../shell/listViews';
import { SavedViews } from '../shell/SavedViews';

/** Ways of looking at tasks that are saved under names. */
export function ListViewsOf({ search, onUse }: { search: string; onUse: (search: string) => void }) {
  const [open, setOpen] = useState(false);
  const { views, save, remove } = useListViews('tasks', { search, hidden: [] }, open);
  return (
    <details open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>Views</summary>
      <SavedViews views={views} onUse={(view) => onUse(view.search)} onRemove={(id) => remove.mutate(id)} save={save} />
    </details>
  );
}
