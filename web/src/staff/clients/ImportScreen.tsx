import { useId } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../../shared/api';
import { Trouble } from '../../shared/Notice';
import { useUndo } from '../shell/changes';
import { Pillars } from '../shell/Pillars';
import type { PlinthBlock } from '../shell/Plinth';
import './duplicates.css';
import { useBringFile, useCarryOut, useImport, useMapColumns } from './queries';

type Import = Schema<'ClientImport'>;

const verdicts = ['new', 'matched', 'doubtful', 'wrong'] as const;

/** A file of clients: what its columns hold, what it would do, and bringing it in. */
export function ImportScreen() {
  const bring = useBringFile();
  const map = useMapColumns();
  const carryOut = useCarryOut();
  const undo = useUndo();
  const current = useImport(bring.data?.id ?? null).data ?? bring.data;
  const input = useId();
  const error = bring.error ?? map.error ?? carryOut.error;
  const comes = current ? current.counts.new + current.counts.matched + current.counts.doubtful : 0;
  const blocks: PlinthBlock[] =
    current?.state === 'ready'
      ? [
          {
            label: carryOut.isPending ? 'Beginning…' : `Bring in ${comes}`,
            keyName: 'main',
            main: true,
            disabled: comes === 0 || map.isPending || carryOut.isPending,
            act: () => carryOut.mutate(current.id),
          },
        ]
      : current?.state === 'done' && current.changeId
        ? [{ label: 'Undo', act: () => undo.mutate(current.changeId ?? ''), disabled: undo.isPending }]
        : [];
  return (
    <Pillars
      title="Clients from a file"
      pillars={[
        {
          name: 'File',
          width: '400px',
          middling: '340px',
          content: (
            <>
              <div className="pillar-head">
                <h1>Clients from a file</h1>
              </div>
              <p>
                <label htmlFor={input}>CSV or vCard, in UTF-8, at most 10 MB</label>
              </p>
              <p>
                <input
                  id={input}
                  type="file"
                  accept=".csv,.txt,.vcf,text/csv,text/vcard"
                  disabled={bring.isPending}
                  onChange={(event) => {
                    const file = event.target.files?.[0];
                    if (file) bring.mutate(file);
                  }}
                />
              </p>
              {bring.isPending && <p role="status">Looking through it…</p>}
              {error && <Trouble title="Not so">{error.message}</Trouble>}
              {current && (
                <Columns
                  current={current}
                  busy={map.isPending}
                  onMap={(fields) => map.mutate({ id: current.id, fields })}
                />
              )}
            </>
          ),
        },
        {
          name: 'What it would do',
          sheet: true,
          width: '1fr',
          content: current ? <Outcome current={current} /> : <WhatWillHappen />,
          blocks,
        },
      ]}
    />
  );
}

/** What stands on the sheet before there is a file. */
function WhatWillHappen() {
  return (
    <div className="side-by-side">
      <div className="pillar-head strong">
        <h2>No file yet</h2>
      </div>
      <p>Choose a file on the left. It is only read at first: you see what it would do before anything is saved.</p>
      <ol>
        <li>Each column is matched with what it holds: a name, a mail, a phone. You can change that.</li>
        <li>Each line is compared with the clients on file, so that nobody is added twice.</li>
        <li>You press Bring in. One Undo takes the whole file out again.</li>
      </ol>
      <p className="second">
        A first line with the names of the columns is enough. From an address book, export vCard; from a spreadsheet,
        save as CSV in UTF-8.
      </p>
    </div>
  );
}

interface ColumnProps {
  current: Import;
  busy: boolean;
  onMap: (fields: string[]) => void;
}

function Columns({ current, busy, onMap }: ColumnProps) {
  return (
    <table className="pair">
      <thead>
        <tr>
          <th scope="col">Column</th>
          <th scope="col">Holds</th>
        </tr>
      </thead>
      <tbody>
        {current.heads.map((head, column) => (
          <tr key={column}>
            <th scope="row">{head || `column ${column + 1}`}</th>
            <td>
              <select
                aria-label={`what ${head || `column ${column + 1}`} holds`}
                value={current.fields[column]}
                disabled={busy || current.state !== 'ready'}
                onChange={(event) =>
                  onMap(current.fields.map((field, i) => (i === column ? event.target.value : field)))
                }
              >
                <option value="">nothing</option>
                {current.offers.map((offer) => (
                  <option key={offer.value} value={offer.value}>
                    {offer.label}
                  </option>
                ))}
              </select>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Outcome({ current }: { current: Import }) {
  return (
    <div className="side-by-side">
      <div className="pillar-head strong">
        <h2>{current.fileName}</h2>
        <small>{current.state === 'ready' ? 'nothing is brought in yet' : ''}</small>
      </div>
      <p role="status">
        {current.state === 'ready' && verdicts.map((verdict) => `${current.counts[verdict]} ${verdict}`).join(', ')}
        {current.state === 'running' && `Bringing in, ${current.done} of ${current.total}`}
        {current.state === 'done' && `Brought in, ${current.total} lines.`}
        {current.state === 'undoing' && `Being undone, ${current.done} of ${current.total} records`}
        {current.state === 'undone' && 'Undone. What was changed since, or is needed by something else, stays.'}
      </p>
      {current.state === 'failed' && (
        <Trouble title="Broken off">
          The file is here no more. {current.done} of {current.total} lines had come in. Bring the file again: whoever
          is on file is not made twice.
        </Trouble>
      )}
      {(current.state === 'running' || current.state === 'undoing') && (
        <p>
          <progress
            max={Math.max(1, current.total)}
            value={current.done}
            aria-label={current.state === 'running' ? 'Brought in' : 'Undone'}
          />
        </p>
      )}
      <p className="second">
        Doubtful ones come in as new and stand among the <Link to="/clients/duplicates">duplicates</Link>; of matched
        ones only what is missing is added; wrong lines are left.
      </p>
      {current.told.length > 0 && (
        <table className="pair">
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Who</th>
              <th scope="col">Why</th>
            </tr>
          </thead>
          <tbody>
            {current.told.map((row) => (
              <tr key={row.line}>
                <td className="figures">{row.line}</td>
                <td>{row.name || <span className="second">nobody</span>}</td>
                <td>
                  <b>{row.verdict}</b> {row.why}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
