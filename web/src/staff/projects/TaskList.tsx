import { useRef, useState, useLayoutEffect } from 'react';
import type { Schema } from '../../shared/api';
import { Mark, type MarkKind } from '../../shared/Mark';
import { moment, shortDay } from '../../shared/words';
import { useKey } from '../keys';
import { threads, type Thread } from './threads';
import { firstName } from '../../shared/firstName';

type Task = Schema<'Task'>;

const marks: Record<Task['state'], [MarkKind, string]> = {
  'to-do': ['new', 'to do'],
  waiting: ['waiting', 'waiting'],
  done: ['done', 'done'],
};

interface Props {
  tasks: Task[];
  chosen: string | null;
  onChoose: (id: string) => void;
  today: string;
  /** What is ahead: which decide when it is done. */
  ahead?: { id: string; float: number; onChain: boolean }[] | undefined;
  /** Puts a task in the place of another; nothing where whoever looks may not. */
  onMove?: ((id: string, position: number) => void) | undefined;
}

/** Tasks in their order, with threads at the left from each to those that wait for it. */
export function TaskList({ tasks, chosen, onChoose, today, ahead, onMove }: Props) {
  const [over, setOver] = useState('');
  const list = useRef<HTMLOListElement>(null);
  const [middles, setMiddles] = useState<number[]>([]);
  useLayoutEffect(() => {
    const element = list.current;
    if (!element) return undefined;
    const measure = () => setMiddles([...element.children].map((row) => (row as HTMLElement).offsetTop + 20));
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [tasks]);
  const place = tasks.findIndex((task) => task.id === chosen);
  const go = (to: number) => {
    const task = tasks[to];
    if (task) {
      onChoose(task.id);
      list.current?.children[to]?.querySelector('button')?.focus();
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  return (
    <div className="tasks">
      <svg className="threads" aria-hidden="true">
        {middles.length === tasks.length &&
          threads(
            tasks.map((task) => ({ number: task.position, after: task.waitsFor })),
            tasks[place]?.position ?? 0,
          ).map((thread) => (
            <ThreadLine
              key={`${thread.from}-${thread.to}`}
              thread={thread}
              y1={middles[thread.from] ?? 0}
              y2={middles[thread.to] ?? 0}
            />
          ))}
      </svg>
      <ol ref={list}>
        {tasks.map((task) => {
          const [kind, word] = marks[task.state];
          const spare = ahead?.find((one) => one.id === task.id);
          const ticked = task.steps.filter((step) => step.done).length;
          const beside = [
            task.group,
            task.waitsFor.length > 0 && `after ${task.waitsFor.join(' and ')}`,
            task.steps.length > 0 && `${ticked} of ${task.steps.length} steps`,
            task.comments > 0 && (task.comments === 1 ? '1 comment' : `${task.comments} comments`),
            spare?.onChain && 'on the longest chain',
            task.away && `${firstName(task.assignee)} is away then`,
          ].filter(Boolean);
          return (
            <li
              key={task.id}
              className={[task.id === chosen ? 'task chosen' : `task ${task.state}`, over === task.id && 'over']
                .filter(Boolean)
                .join(' ')}
              draggable={onMove !== undefined}
              onDragStart={(event) => {
                event.dataTransfer.setData('text/plain', task.id);
                event.dataTransfer.effectAllowed = 'move';
              }}
              onDragOver={(event) => {
                if (!onMove) return;
                event.preventDefault();
                if (over !== task.id) setOver(task.id);
              }}
              onDragEnd={() => setOver('')}
              onDrop={(event) => {
                event.preventDefault();
                setOver('');
                const id = event.dataTransfer.getData('text/plain');
                if (id !== '' && id !== task.id) onMove?.(id, task.position);
              }}
            >
              <button type="button" aria-pressed={task.id === chosen} onClick={() => onChoose(task.id)}>
                <span className="figures task-number">{task.position}</span>
                <span className="task-name">
                  {task.name}
                  {beside.length > 0 && <small>{beside.join(', ')}</small>}
                </span>
                <Mark kind={kind}>{word}</Mark>
                <span className="second">{firstName(task.assignee)}</span>
                <span className={task.late ? 'figures late' : 'figures'}>{dueWords(task, today)}</span>
              </button>
            </li>
          );
        })}
      </ol>
    </div>
  );
}

function dueWords(task: Task, today: string): string {
  if (task.due === today) return 'today';
  if (task.late) return `since ${moment(task.due).toFormat('d LLL')}`;
  return shortDay(task.due, today).replace(/^\w+ /, '');
}

function ThreadLine({ thread, y1, y2 }: { thread: Thread; y1: number; y2: number }) {
  const x = 8 + thread.track * 9;
  return (
    <g className={thread.chosen ? 'thread chosen' : 'thread'}>
      <path d={`M46 ${y1 + 6}H${x}V${y2}H43`} />
      <path className="thread-head" d={`M42 ${y2 - 3}l5 3l-5 3z`} />
    </g>
  );
}
