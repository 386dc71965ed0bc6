import { useQuery } from '@tanstack/react-query';
import { api, need } from '../../shared/api';
import { queryKeys } from '../queryKeys';
import { FileLines } from '../shell/FileLines';
import { SectionRows } from '../shell/SectionRows';

function Files({ of, id, empty }: { of: 'client' | 'project'; id: string; empty: string }) {
  const list = useQuery({
    queryKey: queryKeys.filesOf(of, id),
    queryFn: () => need(api.GET('/api/files', { params: { query: { [of]: id } } })),
  });
  return (
    <SectionRows
      title="Files"
      small={list.data?.items.length || ''}
      list={list}
      empty={<p className="nothing second">{empty}</p>}
    >
      {(files) => <FileLines files={files} />}
    </SectionRows>
  );
}

export function FilesOfClient({ id }: { id: string }) {
  return <Files of="client" id={id} empty="None yet. Photographs sent with a form land here." />;
}

export function FilesOfProject({ id }: { id: string }) {
  return <Files of="project" id={id} empty="None came with the form." />;
}
