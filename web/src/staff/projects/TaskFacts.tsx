import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { shortDay } from '../../shared/words';
import { useKey } from '../keys';
import { useOffers } from '../people/queries';
import { useToday } from '../shell/day';
import { FactList, type Fact } from '../shell/FactList';
import { FactRow } from '../shell/FactRow';
import { useToast } from '../shell/Toast';
import { useAddTask, useEditTask, useRemoveTask } from './queries';

type Task = Schema<'Task'>;
type Edit = Omit<Schema<'TaskEdit'>, 'project' | 'version'>;

export const newTaskName = (project: string) => `project.${project}.new-task`;

const numbers = (text: string) => (text.match(/\d+/g) ?? []).map(Number);

/** A task that nobody's checklist has. */
export function NewTask({ project, tasks, onDone }: { project: Schema<'Project'>; tasks: Task[]; onDone: () => void }) {
  const add = useAddTask();
  const toast = useToast();
  const offers = useOffers().data;
  const [key, setKey] = useState(newKey);
  const people = offers?.staff ?? [];
  return (
    <dl className="facts new-task">
      <FactRow
        name={newTaskName(project.id)}
        label="Add task"
        shown=""
        open
        canEdit
        saveWord="Add"
        onOpen={onDone}
        busy={add.isPending}
        error={add.error}
        fields={[
          { key: 'name', label: 'What is to be done', value: '' },
          {
            key: 'assignee',
            label: 'Who',
            value: project.leadId,
            options: people.some((one) => one.value === project.leadId)
              ? people
              : [{ value: project.leadId, label: project.lead }, ...people],
          },
          { key: 'due', label: 'Due', value: '', kind: 'date', hint: 'The next working day where it is empty.' },
          {
            key: 'waitsFor',
            label: 'After',
            value: '',
            options: [
              { value: '', label: 'nothing in particular' },
              ...tasks.map((task) => ({ value: String(task.position), label: `${task.position} ${task.name}` })),
            ],
          },
        ]}
        onSave={async ({ name = '', assignee = '', due = '', waitsFor = '' }) => {
          const task = await add.mutateAsync({
            key,
            project: project.id,
            name,
            assignee,
            due,
            waitsFor: numbers(waitsFor),
          });
          setKey(newKey());
          toast({ words: `Task ${task.position} added: ${task.name}. U takes it back.` });
        }}
      />
    </dl>
  );
}

/** The chosen task: what it says, who does it, by when, after what; moved and removed. */
export function TaskFacts({ task, tasks, canEdit }: { task: Task; tasks: Task[]; canEdit: boolean }) {
  const today = useToday();
  const edit = useEditTask();
  const remove = useRemoveTask();
  const toast = useToast();
  const [open, setOpen] = useState<string | null>(null);
  const people = useOffers(open === 'assignee').data?.staff ?? [];
  const at = tasks.findIndex((one) => one.id === task.id);
  const failed = (error: Error) => toast({ words: error.message });
  const moveTo = (place: number) => {
    const other = tasks[place];
    if (other && !edit.isPending)
      edit.mutate({ id: task.id, version: task.version, position: other.position }, { onError: failed });
  };
  const takeAway = () => {
    if (!remove.isPending)
      remove.mutate(task, {
        onSuccess: () => toast({ words: `Task removed: ${task.name}. U takes it back.` }),
        onError: failed,
      });
  };
  useKey('up', canEdit ? () => moveTo(at - 1) : undefined);
  useKey('down', canEdit ? () => moveTo(at + 1) : undefined);
  useKey('takeOut', canEdit ? takeAway : undefined);
  const facts: Fact<Edit>[] = [
    {
      key: 'name',
      label: 'What',
      shown: task.name,
      fields: [{ key: 'name', label: 'What is to be done', value: task.name }],
      edit: ({ name = '' }) => ({ name }),
    },
    {
      key: 'assignee',
      label: 'Who',
      shown: task.assignee,
      fields: [
        {
          key: 'assignee',
          label: 'Who',
          value: task.assigneeId,
          options: people.some((one) => one.value === task.assigneeId)
            ? people
            : [{ value: task.assigneeId, label: task.assignee }, ...people],
        },
      ],
      edit: ({ assignee = '' }) => ({ assignee }),
    },
    {
      key: 'due',
      label: 'Due',
      shown: shortDay(task.due, today),
      fields: [{ key: 'due', label: 'Due', value: task.due, kind: 'date' }],
      edit: ({ due = '' }) => ({ due }),
    },
    {
      key: 'waitsFor',
      label: 'After',
      shown: tasks
        .filter((one) => task.waitsFor.includes(one.position))
        .map((one) => one.name)
        .join(', '),
      fields: [
        {
          key: 'waitsFor',
          label: 'Numbers of the tasks that come first',
          value: task.waitsFor.join(', '),
          hint: 'Such as 1, 3. Empty where it waits for nothing.',
        },
      ],
      edit: ({ waitsFor = '' }) => ({ waitsFor: numbers(waitsFor) }),
    },
  ];
  return (
    <>
      <FactList
        name={`task.${task.id}`}
        title={`Task ${task.position}`}
        beside={task.reason && <small>from {task.reason}</small>}
        canEdit={canEdit}
        facts={facts}
        onTurn={setOpen}
        saving={edit}
        save={(part) => edit.mutateAsync({ id: task.id, version: task.version, ...part })}
      />
      {canEdit && (
        <p className="task-does">
          <button type="button" className="link-button" disabled={at <= 0} onClick={() => moveTo(at - 1)}>
            Up
          </button>
          <button
            type="button"
            className="link-button"
            disabled={at >= tasks.length - 1}
            onClick={() => moveTo(at + 1)}
          >
            Down
          </button>
          {task.state === 'done' && (
            <button
              type="button"
              className="link-button"
              onClick={() => edit.mutate({ id: task.id, version: task.version, open: true }, { onError: failed })}
            >
              Open again
            </button>
          )}
          <button type="button" className="link-button" onClick={takeAway}>
            Remove
          </button>
        </p>
      )}
    </>
  );
}
