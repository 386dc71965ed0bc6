import { count } from '../../shared/numbers';
import { FactList } from '../shell/FactList';
import { useTagChange, type Setup } from './queries';

/** Every tag there is, renamed or removed wherever it stands. */
export function TagsSection({ tags }: { tags: Setup['tags'] }) {
  const change = useTagChange();
  return (
    <FactList<Parameters<typeof change.mutateAsync>[0]>
      name="setup.tags"
      title="Tags"
      canEdit
      saving={change}
      save={(part) => change.mutateAsync(part)}
      facts={tags.map(({ tag, clients, projects }) => ({
        key: tag,
        label: tag,
        shown: [clients ? count(clients, 'client') : '', projects ? count(projects, 'project') : '']
          .filter(Boolean)
          .join(', '),
        fields: [
          {
            key: 'to',
            label: 'Tag',
            value: tag,
            hint: 'Clients, projects and rules that name it follow. A tag that is there already takes this one in.',
          },
        ],
        edit: ({ to = '' }) => ({ tag, to }),
        remove: { tag },
      }))}
    >
      {tags.length === 0 && (
        <p className="second">No tags yet. A client or a project is tagged on its page, or by a rule.</p>
      )}
    </FactList>
  );
}
