import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { shortDay } from '../../shared/words';
import { useOffers, type Offers } from '../people/queries';
import { useSignedIn } from '../session';
import { customFacts } from '../shell/CustomFacts';
import { useToday } from '../shell/day';
import { FactList, type Fact } from '../shell/FactList';
import { MovesWith } from './Outlook';
import { useEditProject, type ProjectEdit } from './queries';

type Project = Schema<'Project'>;

function factsOf(
  project: Project,
  { staff = [], sources = [], services = [] }: Partial<Pick<Offers, 'staff' | 'sources' | 'services'>>,
  today: string,
): Fact<ProjectEdit>[] {
  const leads = staff.some((one) => one.value === project.leadId)
    ? staff
    : [{ value: project.leadId, label: project.lead }, ...staff];
  return [
    {
      key: 'title',
      label: 'Title',
      shown: project.title,
      fields: [{ key: 'title', label: 'Title', value: project.title }],
      edit: ({ title = '' }) => ({ title }),
    },
    {
      key: 'lead',
      label: 'Led by',
      shown: project.lead,
      fields: [{ key: 'lead', label: 'Led by', value: project.leadId, options: leads }],
      edit: ({ lead = '' }) => ({ lead }),
    },
    {
      key: 'service',
      label: 'Service',
      shown: services.find(({ value }) => value === project.service)?.label ?? project.service,
      fields: [
        {
          key: 'service',
          label: 'Service',
          value: project.service,
          options: [
            { value: '', label: 'none' },
            ...services,
            ...(project.service && !services.some(({ value }) => value === project.service)
              ? [{ value: project.service, label: project.service }]
              : []),
          ],
        },
      ],
      edit: ({ service = '' }) => ({ service }),
    },
    {
      key: 'readyBy',
      label: 'Ready by',
      shown: project.readyBy ? shortDay(project.readyBy, today) : '',
      fields: [
        {
          key: 'readyBy',
          label: 'Ready by',
          value: project.readyBy ?? '',
          kind: 'date',
          beside: (day) => <MovesWith project={project} day={day} />,
        },
      ],
      edit: ({ readyBy = '' }) => ({ readyBy }),
    },
    {
      key: 'budget',
      label: 'Budget',
      shown: project.budget,
      fields: [{ key: 'budget', label: 'Budget', value: project.budget }],
      edit: ({ budget = '' }) => ({ budget }),
    },
    {
      key: 'source',
      label: 'Comes from',
      shown: project.source,
      fields: [
        {
          key: 'source',
          label: 'Where the work comes from',
          value: project.source,
          options: [...new Set(['', project.source, ...sources])].map((one) => ({
            value: one,
            label: one || 'not known',
          })),
        },
      ],
      edit: ({ source = '' }) => ({ source }),
    },
    {
      key: 'tags',
      label: 'Tags',
      shown: project.tags.join(', '),
      fields: [{ key: 'tags', label: 'Tags, parted by commas', value: project.tags.join(', ') }],
      edit: ({ tags = '' }) => ({ tags: tags.split(',') }),
    },
    {
      key: 'notes',
      label: 'Notes',
      shown: project.notes,
      fields: [{ key: 'notes', label: 'Notes', value: project.notes, kind: 'long' }],
      edit: ({ notes = '' }) => ({ notes }),
    },
    ...customFacts(project.custom, today),
  ];
}

/** What is on file about a project, edited where it stands by whoever leads it, or any project. */
export function ProjectFacts({ project }: { project: Project }) {
  const { user } = useSignedIn();
  const today = useToday();
  const any = user.may.includes('projects.lead-any');
  const offers = useOffers(any).data ?? {};
  const edit = useEditProject(project.id);
  return (
    <FactList
      name={`project.${project.id}`}
      title="Facts"
      facts={factsOf(project, offers, today)}
      canEdit={any || project.leadId === user.id}
      saving={edit}
      save={(part) => edit.mutateAsync({ version: project.version, ...part })}
      beside={
        project.submission && (
          <Link to={`/arrivals/${project.submission.id}?state=accepted`}>
            As written
            <span className="unseen">, {project.submission.label}</span>
          </Link>
        )
      }
    />
  );
}
