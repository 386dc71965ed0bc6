import { Fragment, useState } from 'react';
import { StaffField } from '../../shell/StaffField';
import { useKey } from '../../keys';
import { Choice } from './Choice';
import { freshItem, moved, rowsOf, type Row } from './checklist';
import { ItemEditor } from './ItemEditor';
import { ItemRow } from './ItemRow';
import type { Draft, Item, KeptList, Lists } from './queries';

interface Props {
  draft: Draft;
  kept: KeptList | undefined;
  base: KeptList | undefined;
  lists: Lists;
  faults: Record<string, string>;
  onChange: (draft: Draft) => void;
}

/** The checklist among the items that it joins: the base on the page’s ground, its own on the sheet. */
export function ListSheet({ draft, kept, base, lists, faults, onChange }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const isBase = kept?.isBase ?? false;
  const rows = rowsOf(draft, isBase, base);
  const own = rows.filter((row) => row.own);
  const at = draft.items.findIndex((item) => item.key === open);
  const items = (next: Item[]) => onChange({ ...draft, items: next });
  const add = (after: number) => {
    const item = freshItem(draft.items, draft.items[after]);
    items([...draft.items.slice(0, after + 1), item, ...draft.items.slice(after + 1)]);
    setOpen(item.key);
  };
  const remove = () => {
    if (at < 0) return;
    const gone = draft.items[at];
    items(
      draft.items
        .filter((_, i) => i !== at)
        // What waited for it waits for what it waited for.
        .map((item) =>
          gone && item.waitsFor.includes(gone.key)
            ? {
                ...item,
                waitsFor: [...new Set([...item.waitsFor.filter((key) => key !== gone.key), ...gone.waitsFor])],
              }
            : item,
        ),
    );
    setOpen(draft.items[at + 1]?.key ?? draft.items[at - 1]?.key ?? null);
  };
  useKey('add', () => add(at < 0 ? draft.items.length - 1 : at));
  useKey('up', at > 0 ? () => items(moved(draft.items, at, at - 1)) : undefined);
  useKey('down', at >= 0 && at < draft.items.length - 1 ? () => items(moved(draft.items, at, at + 1)) : undefined);
  useKey('takeOut', at >= 0 ? remove : undefined);
  const groups = [...new Set(draft.items.map((item) => item.group).filter((group) => group !== ''))];
  const firstOwn = own[0]?.number ?? rows.length + 1;
  const before = isBase ? [] : rows.filter((row) => !row.own && row.number < firstOwn);
  const after = isBase ? [] : rows.filter((row) => !row.own && row.number > firstOwn);
  const faultsOf = (i: number) =>
    Object.fromEntries(Object.entries(faults).filter(([path]) => path.startsWith(`items.${i}.`)));
  // An item of the base may have the same short key: only the list's own are edited here.
  const isOpen = (row: Row) => row.own && row.item.key === open;
  const line = (row: Row, i: number) => (
    <Fragment key={row.full}>
      {row.own && row.item.group !== (draft.items[i - 1]?.group ?? '') && row.item.group !== '' && (
        <h3 className="item-group">{row.item.group}</h3>
      )}
      <div className={isOpen(row) ? 'item open' : 'item'}>
        <ItemRow
          row={row}
          rows={rows}
          offers={lists.offers}
          open={isOpen(row)}
          onOpen={() => setOpen(isOpen(row) ? null : row.item.key)}
        />
        {isOpen(row) && (
          <>
            <ItemEditor
              row={row}
              rows={rows}
              groups={groups}
              offers={lists.offers}
              faults={faultsOf(i)}
              onChange={(part) => items(draft.items.map((one, n) => (n === i ? { ...one, ...part } : one)))}
            />
            <p className="item-acts">
              <button type="button" className="link-button" onClick={() => items(moved(draft.items, i, i - 1))}>
                up <kbd>Alt ↑</kbd>
              </button>
              <button type="button" className="link-button" onClick={() => items(moved(draft.items, i, i + 1))}>
                down <kbd>Alt ↓</kbd>
              </button>
              <button type="button" className="link-button" onClick={() => add(i)}>
                add below <kbd>+</kbd>
              </button>
              <button type="button" className="link-button" onClick={remove}>
                remove <kbd>Del</kbd>
              </button>
            </p>
          </>
        )}
        {Object.keys(faultsOf(i)).length > 0 && !isOpen(row) && (
          <p className="question-error">{Object.values(faultsOf(i))[0]}</p>
        )}
      </div>
    </Fragment>
  );
  return (
    <div className="list-sheet">
      <div className="list-names">
        <StaffField
          label="Name"
          value={draft.name}
          maxLength={100}
          error={faults.name}
          onChange={(event) => onChange({ ...draft, name: event.target.value })}
        />
        <StaffField
          label="What it is for"
          value={draft.purpose}
          maxLength={500}
          error={faults.purpose}
          onChange={(event) => onChange({ ...draft, purpose: event.target.value })}
        />
      </div>
      {faults.items && <p className="question-error">{faults.items}</p>}
      <div className="item-row heads" aria-hidden="true">
        <span />
        <span />
        <span>who</span>
        <span>takes</span>
        <span>after</span>
      </div>
      {base && !isBase && (
        <div className="of-base">
          <h3 className="item-group">
            {base.name} <small>base, version {base.version}</small> <a href={`/checklists/${base.id}`}>Edit this one</a>
          </h3>
          {before.map((row) => line(row, -1))}
        </div>
      )}
      {!isBase && base && (
        <h3 className="item-group joins">
          {draft.name || 'The new one'}{' '}
          <small>
            joins after{' '}
            <Choice
              label="Joins after"
              value={draft.joinsAfter}
              options={joinsOf(base)}
              onChange={(joinsAfter) => onChange({ ...draft, joinsAfter })}
            />
          </small>
          {faults.joinsAfter && <span className="question-error">{faults.joinsAfter}</span>}
        </h3>
      )}
      {own.map((row, i) => line(row, i))}
      <p className="item-add">
        <button type="button" className="link-button" onClick={() => add(draft.items.length - 1)}>
          Add item <kbd>+</kbd>
        </button>
      </p>
      {after.length > 0 && (
        <details className="of-base">
          <summary>
            <b>{base?.name}</b> goes on:{' '}
            {after
              .slice(0, 3)
              .map((row) => `${row.number} ${row.item.name}`)
              .join(', ')}
            {after.length > 3 && ` and ${after.length - 3} more`}
          </summary>
          {after.map((row) => line(row, -1))}
        </details>
      )}
    </div>
  );
}

/** After which items and groups of the base an add-on may join. */
function joinsOf(base: KeptList): { value: string; label: string }[] {
  const groups = [...new Set(base.items.map((item) => item.group).filter((group) => group !== ''))];
  return [
    { value: '', label: 'all of them' },
    ...base.items.map((item, i) => ({ value: `${base.key}/${item.key}`, label: `${i + 1} ${item.name}` })),
    ...groups.map((group) => ({ value: `${base.key}/@${group}`, label: `the group ${group}` })),
  ];
}
