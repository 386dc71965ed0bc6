import Button from '@mui/material/Button';
import { useState, type SyntheticEvent } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { newKey } from '../../shared/newKey';
import { when } from '../../shared/words';
import { useSignedIn } from '../session';
import { useToday } from '../shell/day';
import { Photographs } from '../shell/Photographs';
import { useToast } from '../shell/Toast';
import { useUnsaved } from '../shell/useUnsaved';
import { useTaskNotes, useTickSteps, useWriteNote } from './queries';
import { firstName } from '../../shared/firstName';

type Task = Schema<'Task'>;

/** What else there is to a task: its steps, what does it, comments and minutes of work. */
export function TaskMore({ task, canWork }: { task: Task; canWork: boolean }) {
  const tick = useTickSteps();
  const toast = useToast();
  const { user } = useSignedIn();
  return (
    <div className="task-more">
      {task.words && <p className="written">{task.words}</p>}
      {task.doneBy && task.state !== 'done' && <p className="second">Done by itself {task.doneBy}.</p>}
      {task.approval && <p className="second">Needs the approval of {task.approval}.</p>}
      {task.steps.length > 0 && (
        <ul className="task-steps" aria-label="Steps">
          {task.steps.map((step, i) => (
            <li key={i}>
              <label>
                <input
                  type="checkbox"
                  checked={step.done}
                  disabled={!canWork || tick.isPending}
                  onChange={(event) =>
                    tick.mutate(
                      {
                        id: task.id,
                        done: task.steps.flatMap((one, n) => ((n === i ? event.target.checked : one.done) ? [n] : [])),
                      },
                      { onError: (error) => toast({ words: error.message }) },
                    )
                  }
                />{' '}
                {step.text}
              </label>
            </li>
          ))}
        </ul>
      )}
      <Notes task={task} />
      {canWork && <Photographs project={task.project.id} />}
      {user.may.includes('messages.write') && (
        <p className="task-write">
          <Link to={`/messages/write?project=${task.project.id}&subject=${encodeURIComponent(task.name)}`}>
            Write to the client about it
          </Link>
        </p>
      )}
    </div>
  );
}

function Notes({ task }: { task: Task }) {
  const today = useToday();
  const notes = useTaskNotes(task.id, task.comments + task.minutes > 0);
  const write = useWriteNote();
  const [typed, setTyped, forget] = useUnsaved<{ text: string; minutes: string }>(`task.${task.id}.note`, {
    text: '',
    minutes: '',
  });
  const [key, setKey] = useState(newKey);
  const send = (event: SyntheticEvent) => {
    event.preventDefault();
    if (write.isPending) return;
    write.mutate(
      { id: task.id, key, text: typed.text.trim(), minutes: Math.max(0, Math.trunc(Number(typed.minutes)) || 0) },
      {
        onSuccess: () => {
          setTyped({ text: '', minutes: '' });
          forget();
          setKey(newKey());
        },
      },
    );
  };
  return (
    <section aria-label="Comments and minutes">
      {notes.isError && <p className="staff-field-error">{notes.error.message}</p>}
      <ul className="task-notes">
        {notes.data?.map((note) => (
          <li key={note.id}>
            <b>{firstName(note.by)}</b> <span className="second">{when(note.at, today)}</span>
            {note.minutes > 0 && <span className="second">, {note.minutes} minutes</span>}
            {note.text && <p className="written">{note.text}</p>}
          </li>
        ))}
      </ul>
      <form onSubmit={send} className="task-note">
        <input
          aria-label="Comment"
          placeholder="Comment; @Name tells them"
          maxLength={4000}
          value={typed.text}
          onChange={(event) => setTyped({ ...typed, text: event.target.value })}
        />
        <input
          type="number"
          min={0}
          max={1440}
          aria-label="Minutes worked"
          placeholder="min"
          value={typed.minutes}
          onChange={(event) => setTyped({ ...typed, minutes: event.target.value })}
        />
        <Button
          type="submit"
          size="small"
          variant="outlined"
          disabled={write.isPending || (typed.text.trim() === '' && !(Number(typed.minutes) > 0))}
        >
          Add
        </Button>
      </form>
      {write.error && (
        <p className="staff-field-error" role="alert">
          {write.error.message}
        </p>
      )}
      {(task.effort > 0 || task.minutes > 0) && (
        <p className="second">
          {task.minutes > 0 ? `${task.minutes} minutes so far` : 'Nothing logged yet'}
          {task.effort > 0 && `, ${task.effort} planned`}
        </p>
      )}
    </section>
  );
}
