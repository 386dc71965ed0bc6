import { useDeferredValue, useEffect, useState } from 'react';
import { ProblemError } from '../../../shared/api';
import { ComingRows, Trouble } from '../../../shared/Notice';
import { Mark } from '../../../shared/Mark';
import { count } from '../../../shared/numbers';
import { moment, shortDay } from '../../../shared/words';
import { useToday } from '../../shell/day';
import { Choice } from './Choice';
import { DayWall } from './DayWall';
import { useTryList, type Draft, type Lists, type Tried, type Trying } from './queries';
import { firstName } from '../../../shared/firstName';

interface Props {
  id: string;
  draft: Draft;
  lists: Lists;
  service: string;
  /** Whether there is something in it that is not saved. */
  changed: boolean;
}

/** What the checklist would give: merged with those that come with it, dated, the longest chain marked. */
export function Trial({ id, draft, lists, service: usual, changed }: Props) {
  const today = useToday();
  const [service, setService] = useState(usual);
  const [start, setStart] = useState(today);
  const [readyBy, setReadyBy] = useState('');
  const [submission, setSubmission] = useState('');
  const now = useSettled<Trying>({ id, list: draft, service, start, readyBy, submission });
  const tried = useTryList(now);
  const faults = tried.error instanceof ProblemError ? tried.error.violations : [];
  return (
    <>
      <div className="pillar-head">
        <h2>Try it</h2>
        <small>nothing is saved</small>
      </div>
      <p className="try-words">
        For{' '}
        <Choice
          label="Service"
          value={service}
          options={[{ value: '', label: 'no service in particular' }, ...lists.offers.services]}
          onChange={setService}
        />
        , starting{' '}
        <input type="date" aria-label="Start" value={start} onChange={(event) => setStart(event.target.value)} />, ready
        by{' '}
        <input type="date" aria-label="Ready by" value={readyBy} onChange={(event) => setReadyBy(event.target.value)} />
        , answered like{' '}
        <Choice
          label="Answers of"
          value={submission}
          options={[{ value: '', label: 'nobody' }, ...lists.samples]}
          onChange={setSubmission}
        />
      </p>
      {draft.items.length === 0 && <p className="nothing second">It has no items yet.</p>}
      {tried.isPending && tried.fetchStatus !== 'idle' && <ComingRows rows={6} />}
      {tried.isError && (
        <Trouble title="Cannot be tried" again={() => void tried.refetch()}>
          {faults[0]?.message ?? tried.error.message}
        </Trouble>
      )}
      {tried.data && draft.items.length > 0 && (
        <div className={tried.isPlaceholderData || tried.isError ? 'tried old' : 'tried'} aria-live="polite">
          <Verdict tried={tried.data} today={today} readyBy={now.readyBy} />
          <Clashes clashes={tried.data.clashes} />
          <DayWall tried={tried.data} />
          <p className="second wall-words">Lowest course: the longest chain. Lines: days to spare.</p>
          <Dated tried={tried.data} today={today} />
          {changed && id !== '' && <Effects tried={tried.data} today={today} />}
        </div>
      )}
    </>
  );
}

/** What stood still for a moment: every key would be a question otherwise. */
function useSettled<T>(value: T): T {
  const text = JSON.stringify(value);
  const [settled, setSettled] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(text), 400);
    return () => clearTimeout(timer);
  }, [text]);
  return useDeferredValue(JSON.parse(settled) as T);
}

/** Own days that nobody can keep: what waits is due before what it waits for. */
function Clashes({ clashes }: { clashes: Tried['clashes'] }) {
  if (clashes.length === 0) return null;
  return (
    <ul className="clashes" role="status">
      {clashes.map((one) => (
        <li key={one.words}>
          <Mark kind="choose">two days that do not fit</Mark> {one.words}
        </li>
      ))}
    </ul>
  );
}

function Verdict({ tried, today, readyBy }: { tried: Tried; today: string; readyBy: string }) {
  if (tried.room === null)
    return (
      <p className="verdict">
        <b>Done by {shortDay(tried.done, today)}</b>
        <span className="second">The longest chain takes {count(tried.length, 'working day')}.</span>
      </p>
    );
  const spare = tried.room - tried.length;
  return (
    <p className="verdict">
      <b>
        {tried.shortBy > 0 ? `${count(tried.shortBy, 'working day')} short` : `${count(spare, 'working day')} to spare`}
      </b>{' '}
      {tried.shortBy > 0 && <span className="hatch" style={{ width: Math.min(160, tried.shortBy * 22) }} />}
      <span className="second">
        The longest chain takes {tried.length}, there {tried.room === 1 ? 'is' : 'are'} {tried.room}
        {readyBy < today ? ', as that day has passed' : ''}. Done by <b>{shortDay(tried.done, today)}</b>.
      </span>
    </p>
  );
}

function Dated({ tried, today }: { tried: Tried; today: string }) {
  const short = (iso: string) => moment(iso).toFormat('d LLL');
  return (
    <table className="dated">
      <thead>
        <tr>
          <th colSpan={2}>
            <span className="unseen">Task</span>
          </th>
          <th>
            <span className="unseen">Who</span>
          </th>
          <th>begins</th>
          <th>due</th>
          <th>spare</th>
        </tr>
      </thead>
      <tbody>
        {tried.tasks.map((task) => (
          <tr key={task.key} className={task.onChain ? 'chain' : undefined}>
            <td className="figures">{task.number}</td>
            <td>{task.name}</td>
            <td className="second">{task.left ? `${first(task.who)}, as who was named left` : first(task.who)}</td>
            <td className="figures">{short(task.begins)}</td>
            <td className="figures">
              {shortDay(task.due, today)
                .replace(/ (\w{3})\w* ?(\d{4})?$/, ' $1 $2')
                .trim()}
            </td>
            <td className="figures">{task.float === 0 ? '0' : `${task.float} d`}</td>
          </tr>
        ))}
        {tried.leftOut.map((one) => (
          <tr key={one.key} className="left-out">
            <td />
            <td>
              <s>{one.name}</s>
            </td>
            <td colSpan={4} className="second">
              left out by its condition
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const first = firstName;

function Effects({ tried, today }: { tried: Tried; today: string }) {
  if (tried.effects.length === 0)
    return <p className="second effects">Saving changes nothing in open projects: they keep their version.</p>;
  return (
    <section className="effects" aria-label="In open projects">
      <h3>Open projects would not change by themselves</h3>
      <ul>
        {tried.effects.slice(0, 6).map((one) => (
          <li key={one.project.id}>
            <b>{one.client}</b> <span className="second">{effectWords(one, today)}</span>
          </li>
        ))}
      </ul>
      {tried.effects.length > 6 && <p className="second">and {tried.effects.length - 6} more</p>}
      <p className="second">Once it is saved, choose which of them take it over.</p>
    </section>
  );
}

export function effectWords(one: Tried['effects'][number], today: string): string {
  const parts = [
    one.added.length > 0 && `adds ${one.added.map((task) => task.name).join(', ')}`,
    one.removed.length > 0 && `removes ${one.removed.join(', ')}`,
    one.moved.length > 0 &&
      `moves ${one.moved.map((task) => `${task.name} to ${shortDay(task.due, today)}`).join(', ')}`,
    one.turned.length > 0 &&
      `orders anew: ${one.turned.map((task) => `${task.name} ${task.was === task.number ? 'waits for' : `becomes ${task.number}, waits for`} ${task.waitsFor.join(', ') || 'nothing'}`).join('; ')}`,
    one.late !== '' && one.late,
  ].filter(Boolean);
  return parts.length === 0 ? 'nothing to change' : parts.join('; ');
}
