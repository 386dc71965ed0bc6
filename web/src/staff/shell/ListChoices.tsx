import { useSearchParams } from 'react-router';
import { ColumnList } from './ColumnList';
import { useListViews } from './listViews';
import { SavedViews } from './SavedViews';

interface Props {
  list: 'clients' | 'projects';
  /** Whether views are saved for everybody, by whoever sees everything. */
  saves: boolean;
  /** Names of the columns that may be left out. */
  columns: string[];
  hidden: string[];
  onHide: (hidden: string[]) => void;
}

/** What is chosen of a list beside its filters: ways of looking that are saved, and the columns that are shown. */
export function ListChoices({ list, saves, columns, hidden, onHide }: Props) {
  const [search, setSearch] = useSearchParams();
  const { views, save, remove } = useListViews(list, { search: search.toString(), hidden }, saves);
  return (
    <>
      {saves && (
        <SavedViews
          views={views}
          onUse={(view) => {
            onHide(view.hidden);
            setSearch(view.search, { replace: true });
          }}
          onRemove={remove.mutate}
          save={save}
        />
      )}
      <details className="columns-choice">
        <summary>Columns</summary>
        <ColumnList columns={columns.map((name) => ({ key: name, label: name }))} hidden={hidden} onHide={onHide} />
      </details>
    </>
  );
}
