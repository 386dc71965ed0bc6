import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, need, type Schema } from '../../shared/api';
import { FactRow } from '../shell/FactRow';
import { useToast } from '../shell/Toast';

/** What a file is called, what is noted beside it, and its way out. */
export function FileFacts({ file, onDone }: { file: Schema<'FileRef'>; onDone: () => void }) {
  const queries = useQueryClient();
  const toast = useToast();
  const done = { onSettled: () => void queries.invalidateQueries() };
  const at = { params: { path: { id: file.id } } };
  const save = useMutation({
    mutationFn: (body: { name: string; note: string; forOffice: boolean }) =>
      need(api.PUT('/api/files/{id}', { ...at, body })),
    ...done,
  });
  const remove = useMutation({ mutationFn: () => need(api.DELETE('/api/files/{id}', at)), ...done });
  return (
    <dl className="facts">
      <FactRow
        name={`file.${file.id}`}
        label={file.name}
        shown=""
        open
        canEdit
        onOpen={onDone}
        busy={save.isPending || remove.isPending}
        error={save.error ?? remove.error}
        fields={[
          { key: 'name', label: 'Name', value: file.name },
          { key: 'note', label: 'Note', value: file.note },
          {
            key: 'seen',
            label: 'Who may see it',
            value: file.forOffice ? 'office' : '',
            options: [
              { value: '', label: 'everybody who works on it' },
              { value: 'office', label: 'the office only, not field staff' },
            ],
          },
        ]}
        onSave={({ name = '', note = '', seen = '' }) => save.mutateAsync({ name, note, forOffice: seen === 'office' })}
        {...(file.signed
          ? {}
          : {
              onRemove: async () => {
                await remove.mutateAsync();
                toast({ words: `${file.name} removed. U takes it back.` });
              },
            })}
      />
    </dl>
  );
}
