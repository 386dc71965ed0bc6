import { useEffect, useState, type ReactNode } from 'react';
import { FactRow, type FactField } from './FactRow';
import { useToast } from './Toast';
import { isUnsaved } from './useUnsaved';

/** One thing on file about a record: what is shown, what is asked when it is edited, and what is sent then. */
export interface Fact<Edit> {
  key: string;
  label: string;
  shown: string;
  fields: FactField[];
  edit: (values: Record<string, string>) => Edit;
  saveWord?: string;
  /** What is sent to take it away; nothing where it can only be emptied. */
  remove?: Edit;
}

interface Props<Edit> {
  /** Under which what is typed is kept: the record. */
  name: string;
  title: string;
  facts: Fact<Edit>[];
  /** Facts that are not there yet: a link beside the title opens one. */
  adding?: Fact<Edit>[];
  /** Beside the title. */
  beside?: ReactNode;
  canEdit: boolean;
  saving: { isPending: boolean; error: Error | null; reset: () => void };
  save: (edit: Edit) => Promise<unknown>;
  /** Told which fact is open: what only that one offers is fetched then. */
  onTurn?: (key: string | null) => void;
  level?: 'h2' | 'h3';
  /** What stands below and is not edited here. */
  children?: ReactNode;
}

/** What is on file about a record, edited where it stands, one at a time. */
export function FactList<Edit>({
  name,
  title,
  facts,
  adding = [],
  beside,
  canEdit,
  saving,
  save,
  onTurn,
  children,
  level: Heading = 'h2',
}: Props<Edit>) {
  const toast = useToast();
  const kept = (fact: Fact<Edit>) => `${name}.${fact.key}`;
  const [open, setOpen] = useState<string | null>(
    () => [...facts, ...adding].find((fact) => isUnsaved(kept(fact)))?.key ?? null,
  );
  useEffect(() => onTurn?.(open), [open, onTurn]);
  const shown = [...facts, ...adding.filter((fact) => fact.key === open)].filter(
    (fact) => canEdit || fact.shown !== '',
  );
  const turn = (key: string | null) => {
    saving.reset();
    setOpen(key);
  };
  return (
    <>
      <div className="section-head">
        <Heading>{title}</Heading>
        {canEdit && adding.length > 0 && (
          <small>
            {adding.map((fact) => (
              <button key={fact.key} type="button" className="link-button" onClick={() => turn(fact.key)}>
                Add {fact.label.toLowerCase()}
              </button>
            ))}
          </small>
        )}
        {beside}
      </div>
      <dl className="facts">
        {shown.map((fact) => (
          <FactRow
            key={fact.key}
            name={kept(fact)}
            label={fact.label}
            shown={fact.shown}
            fields={fact.fields}
            saveWord={fact.saveWord}
            canEdit={canEdit}
            open={canEdit && open === fact.key}
            onOpen={(is) => turn(is ? fact.key : null)}
            busy={saving.isPending}
            error={open === fact.key ? saving.error : null}
            onRemove={
              fact.remove &&
              (async () => {
                if (fact.remove) await save(fact.remove);
                toast({ words: `${fact.shown} removed. U takes it back.` });
              })
            }
            onSave={async (values) => {
              await save(fact.edit(values));
              toast({ words: `${fact.label} saved. U takes it back.` });
            }}
          />
        ))}
        {children}
      </dl>
    </>
  );
}
