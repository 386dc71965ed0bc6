import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState, type ReactNode } from 'react';
import { MarkShape } from '../../shared/Mark';
import { keys, useKey, type KeyName } from '../keys';
import { useLastAct, type UndoBlock } from './changes';

export interface PlinthBlock {
  label: string;
  keyName?: KeyName;
  /** A key that is listened to elsewhere. */
  shown?: string;
  act: () => void;
  main?: boolean;
  disabled?: boolean;
}

export function PlinthButton({
  label,
  shown,
  act,
  main,
  disabled,
  second,
}: {
  label: string;
  shown?: string;
  act: () => void;
  main?: boolean;
  disabled?: boolean;
  second?: string;
}) {
  return (
    <ButtonBase className={main ? 'block main' : 'block'} onClick={act} disabled={disabled ?? false} title={second}>
      <span className="block-words">
        <span>{label}</span>
        {second && <small>{second}</small>}
      </span>
      {shown && <kbd aria-hidden="true">{shown}</kbd>}
    </ButtonBase>
  );
}

function KeyedBlock({ block }: { block: PlinthBlock }) {
  return (
    <PlinthButton
      label={block.label}
      act={block.act}
      main={block.main}
      disabled={block.disabled}
      {...(block.keyName ? { shown: keys[block.keyName].shown } : block.shown ? { shown: block.shown } : {})}
    />
  );
}

/** Answers the key of a block, whether or not the block is in sight. */
function BlockKey({ block }: { block: PlinthBlock & { keyName: KeyName } }) {
  useKey(block.keyName, block.disabled ? undefined : block.act);
  return null;
}

/** The stone course at the foot: what can be done, each block under the pillar that it acts on. */
export function Plinth({
  blocks,
  note,
  narrow,
  undo: own,
}: {
  blocks: PlinthBlock[][];
  note?: ReactNode;
  narrow: boolean;
  /** What undo means on this screen, where it is not the last act. */
  undo?: UndoBlock | undefined;
}) {
  const last = useLastAct();
  const undo = own ?? last;
  useKey('undo', undo.undo);
  useKey('redo', undo.redo);
  const all = blocks.flat();
  const keyed = all.filter((block): block is PlinthBlock & { keyName: KeyName } => block.keyName !== undefined);
  const listeners = keyed.map((block) => <BlockKey key={block.keyName} block={block} />);
  if (narrow) {
    return (
      <footer className="plinth narrow">
        {listeners}
        {note && <div className="plinth-note">{note}</div>}
        <div className="plinth-row">
          {all
            .filter((block) => block.main)
            .map((block) => (
              <KeyedBlock key={block.label} block={block} />
            ))}
          <PlinthButton label="Undo" act={() => undo.undo?.()} disabled={!undo.undo} />
          <More blocks={all.filter((block) => !block.main)} />
        </div>
      </footer>
    );
  }
  return (
    <footer className="plinth">
      {listeners}
      {blocks.map((course, i) => (
        // The courses stand under the pillars, which never change their order.
        <div key={i} className="plinth-course">
          {i === 0 && (
            <PlinthButton
              label={undo.label}
              second={undo.second}
              act={() => undo.undo?.()}
              disabled={!undo.undo}
              shown={keys.undo.shown}
            />
          )}
          {course.map((block) => (
            <KeyedBlock key={block.label} block={block} />
          ))}
          {i === blocks.length - 1 && note && <div className="plinth-note">{note}</div>}
        </div>
      ))}
    </footer>
  );
}

function More({ blocks }: { blocks: PlinthBlock[] }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  if (blocks.length === 0) return null;
  return (
    <>
      <ButtonBase
        className="block"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        More
      </ButtonBase>
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
        transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      >
        {blocks.map((block) => (
          <MenuItem
            key={block.label}
            disabled={block.disabled ?? false}
            onClick={() => {
              setAnchor(null);
              block.act();
            }}
          >
            {block.label}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

/** Says on the plinth that a line waits for a choice, and leads there. */
export function ChoiceNote({ words, onGo }: { words: string; onGo: () => void }) {
  return (
    <button type="button" className="choice-note" title={words} onClick={onGo}>
      <MarkShape kind="choose" />
      <span>{words}</span>
    </button>
  );
}
