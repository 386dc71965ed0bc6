import { useState } from 'react';
import type { Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { count } from '../../shared/numbers';
import { shortDay } from '../../shared/words';
import { useKey } from '../keys';
import { useOffers } from '../people/queries';
import { useToday } from '../shell/day';
import { FactList, type Fact } from '../shell/FactList';
import { FactRow } from '../shell/FactRow';
import { useToast } from '../shell/Toast';
import { useAddTask, useEditTask, useLoad, useRemoveTask } from './queries';
import { Follows } from './Follows';
import { TaskMore } from './TaskMore';

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
          {
            key: 'due',
            label: 'Due',
            value: '',
            hint: 'Tomorrow, next Tue, in 3 working days, 14/1. The next working day where it is empty.',
          },
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
interface Props {
  task: Task;
  tasks: Task[];
  canEdit: boolean;
  /** Whether it is theirs to do. */
  canWork: boolean;
}

export function TaskFacts({ task, tasks, canEdit, canWork }: Props) {
  const today = useToday();
  const edit = useEditTask();
  const remove = useRemoveTask();
  const toast = useToast();
  const [open, setOpen] = useState<string | null>(null);
  const people = useOffers(open === 'assignee').data?.staff ?? [];
  const load = useLoad(open === 'assignee').data ?? [];
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
            ? people.map((one) => ({ ...one, label: `${one.label}${loadWords(load, one.value)}` }))
            : [{ value: task.assigneeId, label: task.assignee }, ...people],
        },
      ],
      edit: ({ assignee = '' }) => ({ assignee }),
    },
    {
      key: 'due',
      label: 'Due',
      shown: shortDay(task.due, today) + (task.handDated && task.fromList ? ', set by hand' : ''),
      fields: [
        {
          key: 'due',
          label: 'Due',
          value: task.due,
          hint: 'Tomorrow, next Tue, in 3 working days, 14/1. What you set stays where it is.',
          beside: (due) => <Follows task={task} change={due === '' || due === task.due ? null : { due }} />,
        },
      ],
      edit: ({ due = '' }) => ({ due, follow: true }),
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
          beside: (text) => (
            <Follows
              task={task}
              change={numbers(text).join() === task.waitsFor.join() ? null : { waitsFor: numbers(text) }}
            />
          ),
        },
      ],
      edit: ({ waitsFor = '' }) => ({ waitsFor: numbers(waitsFor), follow: true }),
    },
    {
      key: 'takes',
      label: 'Takes',
      shown: `${task.takes === 0 ? 'the same day' : count(task.takes, 'working day')}${task.effort > 0 ? `, ${task.effort} minutes of work` : ''}`,
      fields: [
        {
          key: 'takes',
          label: 'Working days',
          value: String(task.takes),
          beside: (days) => (
            <Follows
              task={task}
              change={/^\d{1,4}$/.test(days) && Number(days) !== task.takes ? { takes: Number(days) } : null}
            />
          ),
        },
        { key: 'effort', label: 'Minutes of work', value: String(task.effort) },
      ],
      edit: ({ takes = '', effort = '' }) => ({ takes: Number(takes), effort: Number(effort), follow: true }),
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
      {task.late && task.state !== 'done' && (
        <Follows task={task} change={{ done: true }} head="It is late. Finished today, " />
      )}
      <TaskMore key={task.id} task={task} canWork={canEdit || canWork} />
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
          {task.handDated && task.fromList && task.state !== 'done' && (
            <button
              type="button"
              className="link-button"
              onClick={() => edit.mutate({ id: task.id, version: task.version, itself: true }, { onError: failed })}
            >
              Date it by its checklist
            </button>
          )}
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

/** How much somebody has to do this week, beside their name. */
function loadWords(load: Schema<'LoadOf'>[], id: string): string {
  const week = load.find((one) => one.id === id)?.weeks[0];
  const hours = (minutes: number) => Math.round(minutes / 6) / 10;
  return week ? `, ${hours(week.effort)} of ${hours(week.available)} h this week` : '';
}
