import { count } from '../../shared/numbers';
import { useFileList } from './asked';

/** Files of a project, or of a client where there is none, behind one line: nothing where there are none. */
export function RecordFiles({ project, client }: { project: string | undefined; client: string | undefined }) {
  const [of, id] = project ? (['project', project] as const) : (['client', client ?? ''] as const);
  const files = useFileList(of, id);
  const items = files.data?.items ?? [];
  if (items.length === 0) return null;
  return (
    <details>
      <summary>{count(items.length, 'file')}</summary>
      <ul>
        {items.map((file) => (
          <li key={file.id}>
            <a href={`/api/files/${file.id}`} target="_blank" rel="noreferrer">
              {file.name}
            </a>
          </li>
        ))}
      </ul>
    </details>
  );
}
