import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { count } from '../../shared/numbers';
import { weightFigure, weightWords } from '../shell/weight';
import { moment } from '../../shared/words';
import { useKey } from '../keys';
import { useUndo } from '../shell/changes';
import { Pillars } from '../shell/Pillars';
import type { PlinthBlock } from '../shell/Plinth';
import { useToast } from '../shell/Toast';
import './duplicates.css';
import { useDuplicates, useMerge, useTellApart } from './queries';

type Pair = Schema<'DuplicatePair'>;
type Side = 'one' | 'other';

const keyOf = (pair: Pair) => `${pair.one.id} ${pair.other.id}`;
/** Fields in which one value must give way; of all others both are kept. */
const isChosen = (field: string): boolean =>
  ['name', 'organisation', 'address'].includes(field) || field.startsWith('custom.');

/** Pairs of clients that may be one person: looked at side by side, made one, or told apart for good. */
export function DuplicatesScreen() {
  const list = useDuplicates();
  const [looked, look] = useState('');
  const [part, setPart] = useState(0);
  const pairs = list.data?.items ?? [];
  const place = Math.max(
    0,
    pairs.findIndex((pair) => keyOf(pair) === looked),
  );
  const pair = pairs[place];
  const go = (to: number) => {
    const next = pairs[to];
    if (next) {
      look(keyOf(next));
      document.querySelector(`[data-row="${keyOf(next)}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const { blocks, kept, keep } = usePairActs(pair);
  return (
    <Pillars
      title="Duplicates"
      shown={part}
      onShow={setPart}
      pillars={[
        {
          name: 'Pairs',
          width: '400px',
          middling: '320px',
          tally: list.data?.total,
          content: (
            <>
              <div className="pillar-head">
                <h1>Duplicates</h1>
                <small>the likeliest first</small>
              </div>
              {list.isPending && <ComingRows rows={10} />}
              {list.isError && (
                <Trouble title="Not loaded" again={() => void list.refetch()}>
                  {list.error.message}
                </Trouble>
              )}
              {list.isSuccess && pairs.length === 0 && (
                <Empty fact="No two clients look like one person.">
                  What you say about a pair is remembered, and not asked again.
                </Empty>
              )}
              <ul className="pair-list">
                {pairs.map((one) => (
                  <li key={keyOf(one)}>
                    <button
                      type="button"
                      data-row={keyOf(one)}
                      className="pair-row"
                      aria-current={one === pair}
                      onClick={() => {
                        look(keyOf(one));
                        setPart(1);
                      }}
                    >
                      <span className="pair-names">
                        <b>{one.one.name}</b>
                        <span>{one.other.name}</span>
                      </span>
                      <span className="figures">{one.percent}</span>
                    </button>
                  </li>
                ))}
              </ul>
              {list.data && list.data.total > pairs.length && (
                <p className="second pair-foot">
                  The likeliest {pairs.length} of {list.data.total}; the others follow as these are decided.
                </p>
              )}
            </>
          ),
        },
        {
          name: 'Side by side',
          sheet: true,
          width: '1fr',
          content: pair ? <SideBySide key={keyOf(pair)} pair={pair} kept={kept} keep={keep} /> : null,
          blocks,
        },
      ]}
    />
  );
}

/** What can be done with the pair that is looked at; the next one follows by itself. */
function usePairActs(pair: Pair | undefined) {
  const merge = useMerge();
  const apart = useTellApart();
  const undo = useUndo();
  const toast = useToast();
  const [choices, setChoices] = useState<Record<string, Side>>({});
  const at = (field: string) => (pair ? `${keyOf(pair)} ${field}` : '');
  const kept = (field: string): Side => choices[at(field)] ?? 'one';
  const keep = (field: string, side: Side) => setChoices({ ...choices, [at(field)]: side });
  const said = (words: string) => ({
    onSuccess: (done: Schema<'ChangeMade'>) =>
      toast({ words, action: { label: 'Undo', shown: 'U', act: () => undo.mutate(done.change.id) } }),
    onError: (error: Error) => toast({ words: error.message }),
  });
  const busy = merge.isPending || apart.isPending;
  const blocks: PlinthBlock[] = pair
    ? [
        {
          label: 'Not the same',
          keyName: 'apart',
          disabled: busy,
          act: () =>
            apart.mutate(
              { id: pair.one.id, other: pair.other.id },
              said(`${pair.one.name} and ${pair.other.name} are two`),
            ),
        },
        {
          label: busy ? 'Working…' : 'Merge',
          keyName: 'merge',
          main: true,
          disabled: busy,
          act: () =>
            merge.mutate(
              {
                id: pair.one.id,
                other: pair.other.id,
                take: pair.fields
                  .map((field) => field.key)
                  .filter((field) => isChosen(field) && kept(field) === 'other'),
              },
              said(`One client of ${pair.one.name} and ${pair.other.name}`),
            ),
        },
      ]
    : [];
  return { blocks, kept, keep };
}

interface SideProps {
  pair: Pair;
  kept: (field: string) => Side;
  keep: (field: string, side: Side) => void;
}

function SideBySide({ pair, kept, keep }: SideProps) {
  return (
    <div className="side-by-side">
      <div className="pillar-head strong">
        <h2>
          {pair.one.name} and {pair.other.name}
        </h2>
        <small>{pair.percent} one person</small>
      </div>
      <table className="pair">
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Field</span>
            </th>
            <th scope="col">
              <Brief client={pair.one} words="Stays" />
            </th>
            <th scope="col">
              <Brief client={pair.other} words="Merged into it" />
            </th>
            <th scope="col">Evidence</th>
          </tr>
        </thead>
        <tbody>
          {pair.fields.map((field) => {
            const choice = isChosen(field.key) && field.here !== field.there;
            return (
              <tr key={field.key}>
                <th scope="row">{field.field}</th>
                {(['one', 'other'] as const).map((side) => {
                  const text = side === 'one' ? field.here : field.there;
                  return (
                    <td key={side} className={choice && kept(field.key) === side && text ? 'kept' : ''}>
                      {choice && field.here && field.there ? (
                        <label>
                          <input
                            type="radio"
                            name={field.key}
                            checked={kept(field.key) === side}
                            onChange={() => keep(field.key, side)}
                          />{' '}
                          {text}
                        </label>
                      ) : (
                        text || <span className="second">none</span>
                      )}
                    </td>
                  );
                })}
                <td>
                  {field.same ? field.verdict : <b>{field.verdict}</b>} <Weight of={field.weight} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="second">Mail addresses, numbers, notes and tags of both are kept. Undo parts them again.</p>
    </div>
  );
}

function Brief({ client, words }: { client: Schema<'ClientBrief'>; words: string }) {
  return (
    <>
      <small>{words}</small>
      <Link to={`/clients/${client.id}`}>{client.name}</Link>
      <small>
        since {moment(client.since).toFormat('LLLL yyyy')}, {count(client.projects, 'project')}
      </small>
    </>
  );
}

/** How much a field says, as a figure and a length to either side. */
function Weight({ of }: { of: number }) {
  if (of === 0) return null;
  return (
    <span className="weight figures">
      <span title={weightFigure(of)}>{weightWords(of)}</span>
      <span
        aria-hidden="true"
        className={of > 0 ? 'weight-bar' : 'weight-bar against'}
        style={{ width: `${Math.min(60, Math.abs(of) * 3)}px` }}
      />
    </span>
  );
}
