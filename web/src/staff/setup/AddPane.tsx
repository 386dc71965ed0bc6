import type { ReactNode } from 'react';
import { FactRow, type FactField } from '../shell/FactRow';

interface Props {
  name: string;
  title: string;
  saveWord: string;
  fields: FactField[];
  saving: { isPending: boolean; error: Error | null };
  onSave: (values: Record<string, string>) => Promise<unknown>;
  onDone: () => void;
  children?: ReactNode;
}

/** Something new among the settings, written down beside the sheet. */
export function AddPane({ name, title, saveWord, fields, saving, onSave, onDone, children }: Props) {
  return (
    <>
      <div className="pillar-head">
        <h2>{title}</h2>
      </div>
      <dl className="facts">
        <FactRow
          name={`setup.${name}`}
          label={title}
          shown=""
          open
          canEdit
          fields={fields}
          saveWord={saveWord}
          onOpen={onDone}
          onSave={onSave}
          busy={saving.isPending}
          error={saving.error}
        />
      </dl>
      {children}
    </>
  );
}
