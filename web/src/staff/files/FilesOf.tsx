import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Uploads } from '../../form/uploads';
import { api, need } from '../../shared/api';
import { count } from '../../shared/numbers';
import { useSignedIn } from '../session';
import { UploadLines, useBringing } from '../shell/Bringing';
import { FileLines } from '../shell/FileLines';
import { SectionRows } from '../shell/SectionRows';
import { useToast } from '../shell/Toast';
import { FileFacts } from './FileFacts';
import './files.css';
import { useFileList } from '../shell/asked';

const limits = { maxFiles: 20, maxBytes: 10_485_760 };
const here = 'files';

function Files({ of, id, empty }: { of: 'client' | 'project'; id: string; empty: string }) {
  const { user } = useSignedIn();
  const queries = useQueryClient();
  const toast = useToast();
  const [editing, setEditing] = useState<string | null>(null);
  const [uploads] = useState(() => new Uploads());
  const { chosen, over, open, ways, chooser } = useBringing({ uploads, of: here, limits, label: 'Add files' });
  const list = useFileList(of, id);
  const put = useMutation({
    mutationFn: (ids: string[]) => need(api.POST('/api/files', { body: { uploads: ids, [of]: id } })),
    onSettled: () => void queries.invalidateQueries(),
  });
  const mayAdd = of === 'project' || user.may.includes('clients.edit');
  const mayChange = user.may.includes('projects.lead-any');
  // Once none is on its way, those that came through are put with the record, together.
  const arrived = chosen.every((file) => file.state === 'kept' || file.state === 'failed')
    ? chosen.flatMap((file) => (file.kept ? [{ local: file.local, id: file.kept.id }] : []))
    : [];
  const ready = arrived.map((file) => file.id).join(' ');
  const { mutate } = put;
  useEffect(() => {
    if (!ready) return;
    mutate(ready.split(' '), {
      onSuccess: ({ items }) => toast({ words: `${count(items.length, 'file')} added. U takes it back.` }),
      onError: (error) => toast({ words: error.message }),
      onSettled: () => {
        for (const file of uploads.all()[here] ?? [])
          if (file.kept && ready.includes(file.kept.id)) uploads.remove(file.local);
      },
    });
  }, [ready, mutate, toast, uploads]);
  const edited = list.data?.items.find((file) => file.id === editing);
  return (
    <div className={over ? 'files-of over' : 'files-of'} {...(mayAdd ? ways : {})} tabIndex={-1}>
      <SectionRows
        title="Files"
        small={
          <>
            {list.data?.items.length || ''}{' '}
            {mayAdd && (
              <button type="button" className="link-button" onClick={open}>
                Add files
              </button>
            )}
          </>
        }
        list={list}
        empty={
          <p className="nothing second">
            {empty}
            {mayAdd && ' Drop or paste them here.'}
          </p>
        }
      >
        {(files) => <FileLines files={files} onEdit={mayChange ? setEditing : undefined} />}
      </SectionRows>
      {chooser}
      <UploadLines uploads={uploads} of={here} />
      {edited && <FileFacts key={edited.id} file={edited} onDone={() => setEditing(null)} />}
    </div>
  );
}

export function FilesOfClient({ id }: { id: string }) {
  return <Files of="client" id={id} empty="None yet. Photographs sent with a form land here." />;
}

export function FilesOfProject({ id }: { id: string }) {
  return <Files of="project" id={id} empty="None came with the form." />;
}
