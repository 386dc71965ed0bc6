import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schema } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { newKey } from '../../shared/newKey';
import { shortDay } from '../../shared/words';
import { useOffers } from '../people/queries';
import { FactRow } from '../shell/FactRow';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import { useCloseProject, useCopyProject, useReopenProject } from './queries';

type Project = Schema<'Project'>;

/** That a project is closed, as what, since when and why. */
export function ClosedMark({ project, today }: { project: Project; today: string }) {
  if (project.outcome === 'open') return null;
  return (
    <p>
      <Mark kind={project.outcome === 'won' ? 'done' : 'stopped'}>
        {project.outcome}
        {project.closedOn && `, ${shortDay(project.closedOn, today)}`}
      </Mark>
      {project.closeReason && <span className="second"> {project.closeReason}</span>}
    </p>
  );
}

/** Why it is closed, before it is. */
export function CloseProject({
  project,
  outcome,
  onDone,
}: {
  project: Project;
  outcome: 'won' | 'lost';
  onDone: () => void;
}) {
  const close = useCloseProject();
  const toast = useToast();
  const reasons = useOffers(outcome === 'lost').data?.lostReasons ?? [];
  return (
    <>
      <div className="section-head">
        <h2>Close as {outcome}</h2>
      </div>
      <dl className="facts">
        <FactRow
          name={`project.${project.id}.close.${outcome}`}
          label={`Close as ${outcome}`}
          shown=""
          open
          canEdit
          saveWord="Close"
          onOpen={onDone}
          busy={close.isPending}
          error={close.error}
          fields={[
            {
              key: 'reason',
              label: outcome === 'lost' ? 'Because' : 'A word on it',
              value: '',
              suggestions: reasons,
            },
          ]}
          onSave={async ({ reason = '' }) => {
            await close.mutateAsync({ id: project.id, version: project.version, outcome, reason });
            toast({ words: `${project.number} closed as ${outcome}. U takes it back.` });
          }}
        />
      </dl>
    </>
  );
}

/** What can be done with a project as a whole. */
export function useProjectBlocks(project: Project, onClose: (outcome: 'won' | 'lost') => void): PlinthBlock[] {
  const copy = useCopyProject();
  const reopen = useReopenProject();
  const toast = useToast();
  const navigate = useNavigate();
  const [key] = useState(newKey);
  const failed = (error: Error) => toast({ words: error.message });
  return [
    ...(project.outcome === 'open'
      ? ([
          { label: 'Won', act: () => onClose('won') },
          { label: 'Lost', act: () => onClose('lost') },
        ] satisfies PlinthBlock[])
      : [
          {
            label: 'Open again',
            disabled: reopen.isPending,
            act: () =>
              reopen.mutate(project, {
                onSuccess: () => toast({ words: `${project.number} is open again. U takes it back.` }),
                onError: failed,
              }),
          },
        ]),
    {
      label: 'Copy',
      disabled: copy.isPending,
      act: () =>
        copy.mutate(
          { id: project.id, key },
          {
            onSuccess: (made) => {
              toast({ words: `${made.number} is a copy of ${project.number}. U takes it back.` });
              void navigate(`/projects/${made.id}`);
            },
            onError: failed,
          },
        ),
    },
    { label: 'Print', act: () => window.print() },
  ];
}
