import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { ProblemError, type Schema } from '../../shared/api';
import { Drawing } from '../../shared/Drawing';
import { ComingRows, Trouble } from '../../shared/Notice';
import { distance, shortDay } from '../../shared/words';
import { useSignedIn } from '../session';
import { useUndo } from '../shell/changes';
import { useToday } from '../shell/day';
import { CustomFacts } from '../shell/CustomFacts';
import { Journal } from '../shell/Journal';
import { Pillars } from '../shell/Pillars';
import type { PlinthBlock } from '../shell/Plinth';
import { Sections } from '../shell/Sections';
import { NotFound } from '../shell/Plain';
import { RecordLink } from '../shell/RecordLink';
import { useToast } from '../shell/Toast';
import { isUnsaved } from '../shell/useUnsaved';
import { AddChecklist } from './AddChecklist';
import { ClosedMark, CloseProject, useProjectBlocks } from './Closing';
import { Course } from './Course';
import { NotReached } from './NotReached';
import { Outlook } from './Outlook';
import { ProjectFacts } from './ProjectFacts';
import './projects.css';
import { useEditTask, useFinishTask, useMoveStage, useProject, useSchedule, useTasks } from './queries';
import { NewTask, newTaskName, TaskFacts } from './TaskFacts';
import { TaskList } from './TaskList';
import { useFollowing } from '../shell/following';

export function ProjectScreen() {
  const { id = '' } = useParams();
  const project = useProject(id);
  useFollowing(['projects'], ['tasks'], ['files'], ['journal']);
  if (project.error instanceof ProblemError && project.error.status === 404) return <NotFound what="project" />;
  if (!project.data) {
    return (
      <Pillars
        title="Project"
        pillars={[
          {
            name: 'Project',
            width: '1fr',
            content: project.error ? (
              <>
                <h1 className="unseen">Project</h1>
                <Trouble title="Not loaded" again={() => void project.refetch()}>
                  {project.error.message}
                </Trouble>
              </>
            ) : (
              <ComingRows rows={10} />
            ),
          },
        ]}
      />
    );
  }
  return <ProjectPage key={id} project={project.data} />;
}

function ProjectPage({ project }: { project: Schema<'Project'> }) {
  const today = useToday();
  const { business, user } = useSignedIn();
  const tasks = useTasks(project.id);
  const ahead = useSchedule(project.id, '');
  const finish = useFinishTask();
  const edit = useEditTask();
  const move = useMoveStage();
  const toast = useToast();
  const undo = useUndo();
  const [chosenId, setChosenId] = useState<string | null>(null);
  const chosen =
    tasks.data?.find((task) => task.id === chosenId) ??
    tasks.data?.find((task) => task.state === 'to-do') ??
    tasks.data?.[0];
  const [sure, setSure] = useState<string | null>(null);
  const [closing, setClosing] = useState<'won' | 'lost' | null>(null);
  const mine = user.may.includes('projects.lead-any') || project.leadId === user.id;
  const [adding, setAdding] = useState(() => isUnsaved(newTaskName(project.id)));
  const [joining, setJoining] = useState(false);
  const [part, setPart] = useState(0);
  const [blocked, setBlocked] = useState<{ stage: string; message: string } | null>(null);
  const moveTo = (stage: string, reason = '') =>
    move.mutate(
      { id: project.id, version: project.version, stage, ...(reason ? { reason } : {}) },
      {
        onSuccess: (moved) => {
          setBlocked(null);
          toast({ words: `${moved.number} stands at ${moved.stage}. U takes it back.` });
        },
        onError: (error) => {
          const missing = error instanceof ProblemError ? error.violations.find((one) => one.path === 'reason') : null;
          if (missing) {
            setPart(0);
            setBlocked({ stage, message: missing.message });
          } else toast({ words: error.message });
        },
      },
    );
  const navigate = useNavigate();
  const keeps = user.may.includes('diary.keep');
  const finishChosen = () => {
    if (!chosen || chosen.state === 'done' || finish.isPending) return;
    if (chosen.state === 'waiting' && sure !== chosen.id) {
      setSure(chosen.id);
      toast({
        words: `Task ${chosen.position} waits for ${chosen.waitsFor.join(' and ')}. Finish it all the same? Press again.`,
      });
      return;
    }
    finish.mutate(chosen, {
      onSuccess: (task) => {
        setChosenId(null);
        toast({ words: `Task ${task.position} finished: ${task.name}. U takes it back.` });
      },
      onError: (error) => toast({ words: error.message }),
    });
  };
  const projectBlocks = useProjectBlocks(project, (outcome) => {
    setPart(1);
    setClosing(outcome);
  });
  return (
    <Pillars
      title={`${project.title}, ${project.client.label}`}
      shown={part}
      onShow={setPart}
      head={
        <div className="project-head">
          <div className="project-asset">
            {project.asset && (
              <>
                <Drawing name={business.drawing} width={60} />
                <div>
                  <b className="serif">{project.asset.description}</b>
                  {project.asset.place && <small>{project.asset.place}</small>}
                </div>
              </>
            )}
          </div>
          <div className="project-title">
            <div className="line-top">
              <div className="project-name">
                <h1>{project.title}</h1>
                <p>
                  for <RecordLink record={project.client} />
                </p>
                <p className="second">
                  {project.number}, led by {project.lead}
                </p>
                <ClosedMark project={project} today={today} />
              </div>
              {project.readyBy && (
                <p>
                  Ready by <b>{shortDay(project.readyBy, today)}</b>, {distance(project.readyBy, today)}
                </p>
              )}
            </div>
            <Course project={project} onMove={moveTo} />
          </div>
        </div>
      }
      pillars={[
        {
          name: 'Tasks',
          width: '548px',
          wide: '620px',
          middling: '1fr',
          tally: project.tasks,
          content: (
            <>
              <div className="pillar-head">
                <h2>Tasks in order</h2>
                <small>
                  {tasks.data ? taskWords(tasks.data) : ''}
                  {mine && (
                    <>
                      {'. '}
                      <button type="button" className="link-button" onClick={() => setJoining(true)}>
                        Add checklist
                      </button>
                    </>
                  )}
                </small>
              </div>
              {tasks.isPending && <ComingRows />}
              {tasks.isError && (
                <Trouble title="Not loaded" again={() => void tasks.refetch()}>
                  {tasks.error.message}
                </Trouble>
              )}
              {blocked && (
                <NotReached
                  message={blocked.message}
                  mayGoOn={user.role === 'owner'}
                  busy={move.isPending}
                  onGoOn={(reason) => moveTo(blocked.stage, reason)}
                  onCancel={() => setBlocked(null)}
                />
              )}
              <Outlook project={project} />
              {joining && <AddChecklist project={project} onDone={() => setJoining(false)} />}
              {adding && <NewTask project={project} tasks={tasks.data ?? []} onDone={() => setAdding(false)} />}
              {tasks.data?.length === 0 && <p className="nothing second">This project has no tasks.</p>}
              {tasks.data && (
                <TaskList
                  ahead={ahead.data?.tasks}
                  tasks={tasks.data}
                  chosen={chosen?.id ?? null}
                  onChoose={setChosenId}
                  today={today}
                  onMove={
                    mine
                      ? (id, position) => {
                          const task = tasks.data.find((one) => one.id === id);
                          if (task && !edit.isPending)
                            edit.mutate(
                              { id, version: task.version, position },
                              {
                                onSuccess: () => toast({ words: `${task.name} moved. U takes it back.` }),
                                onError: (error) => toast({ words: error.message }),
                              },
                            );
                        }
                      : undefined
                  }
                />
              )}
            </>
          ),
          blocks: [
            ...(chosen
              ? ([
                  {
                    label:
                      chosen.state === 'done' ? `Task ${chosen.position} is done` : `Finish task ${chosen.position}`,
                    keyName: 'main',
                    main: true,
                    act: finishChosen,
                    disabled: chosen.state === 'done' || finish.isPending || undo.isPending,
                  },
                ] satisfies PlinthBlock[])
              : []),
            ...(mine
              ? ([
                  {
                    label: 'Add task',
                    keyName: 'newTask',
                    act: () => {
                      setPart(0);
                      setAdding(true);
                    },
                  },
                ] satisfies PlinthBlock[])
              : []),
          ],
        },
        {
          name: 'Papers',
          width: '344px',
          middling: '300px',
          content: (
            <>
              {closing && <CloseProject project={project} outcome={closing} onDone={() => setClosing(null)} />}
              {chosen && (
                <TaskFacts
                  key={chosen.id}
                  task={chosen}
                  tasks={tasks.data ?? []}
                  canEdit={mine}
                  canWork={chosen.assigneeId === user.id}
                />
              )}
              <ProjectFacts project={project} />
              <Wanted project={project} />
              <Sections of="onProject" pillar="papers" id={project.id} name={project.title} />
            </>
          ),
          blocks: mine ? projectBlocks : [],
        },
        {
          name: 'Journal',
          width: '1fr',
          middling: '260px',
          content: <Journal record={project.id} />,
          blocks: keeps
            ? [
                {
                  label: 'Place a visit',
                  keyName: 'newVisit',
                  act: () => void navigate(`/diary?new=1&project=${project.id}`),
                },
              ]
            : [],
        },
      ]}
    />
  );
}

const wished = { appointment: 'Appointment', quote: 'Quote' } as const;

/** What the client wishes, and what is known of the thing itself. */
function Wanted({ project }: { project: Schema<'Project'> }) {
  const asset = project.asset;
  const known = project.wishes.length + (asset?.custom.filter((one) => one.value !== '').length ?? 0);
  if (known === 0 && !asset?.serialNumber) return null;
  return (
    <>
      <div className="section-head">
        <h2>Request</h2>
      </div>
      <dl className="facts">
        {project.wishes.map((wish) => (
          <div key={wish.kind}>
            <dt>{wished[wish.kind]}</dt>
            <dd className="written">{wish.text}</dd>
          </div>
        ))}
        {asset?.serialNumber && (
          <div>
            <dt>Number on it</dt>
            <dd className="figures">{asset.serialNumber}</dd>
          </div>
        )}
        <CustomFacts values={asset?.custom ?? []} />
      </dl>
    </>
  );
}

function taskWords(tasks: Schema<'Task'>[]): string {
  const n = (state: Schema<'Task'>['state']) => tasks.filter((task) => task.state === state).length;
  return `${n('done')} done, ${n('waiting')} waiting, ${n('to-do')} to do`;
}
