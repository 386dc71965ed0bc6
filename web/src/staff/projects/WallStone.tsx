import { memo } from 'react';
import { MarkShape } from '../../shared/Mark';
import { isOver, type Stone } from './wall';

interface Props {
  stone: Stone;
  days: number | null;
  money: (amount: number) => string;
  /** Names and ages alone: there are many. */
  small: boolean;
  at: boolean;
  open: boolean;
  draggable: boolean;
  onAt: (id: string) => void;
  onOpen: (id: string) => void;
}

/** A project as a stone of the wall. */
export const WallStone = memo(function WallStone({
  stone,
  days,
  money,
  small,
  at,
  open,
  draggable,
  onAt,
  onOpen,
}: Props) {
  const over = isOver(stone, days) ? stone.days - (days ?? 0) : 0;
  const filled = days === null ? 0 : Math.min(1, stone.days / Math.max(1, days));
  return (
    <li>
      <button
        type="button"
        id={`stone-${stone.id}`}
        className={['wall-project', small && 'small', open && 'open'].filter(Boolean).join(' ')}
        tabIndex={at ? 0 : -1}
        aria-expanded={open}
        draggable={draggable}
        onDragStart={(event) => {
          event.dataTransfer.setData('text/plain', stone.id);
          event.dataTransfer.effectAllowed = 'move';
        }}
        onFocus={() => onAt(stone.id)}
        onClick={() => onOpen(stone.id)}
      >
        <span className="wall-line-1">
          <b>
            {stone.waiting && (
              <>
                <MarkShape kind="waiting" />
                <span className="unseen">waiting, </span>
              </>
            )}
            {stone.client}
          </b>
          {!small && stone.worth !== null && <span className="figures">{money(Number(stone.worth))}</span>}
          {small && <Age days={stone.days} over={over} />}
        </span>
        {!small && (
          <span className="wall-line-2">
            <span className={stone.late ? 'wall-next late' : 'wall-next'}>{stone.next?.name ?? 'nothing to do'}</span>
            <Age days={stone.days} over={over} />
          </span>
        )}
        <span className="wall-bar" aria-hidden="true">
          {over > 0 ? (
            <>
              <i style={{ width: `${Math.max(35, 100 - over * 6)}%` }} />
              <i className="over" />
            </>
          ) : (
            <i style={{ width: `${Math.round(filled * 100)}%` }} />
          )}
        </span>
      </button>
    </li>
  );
});

function Age({ days, over }: { days: number; over: number }) {
  return over > 0 ? <b className="figures">{over} d over</b> : <span className="figures second">{days} d</span>;
}
