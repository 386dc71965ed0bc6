import { Mark } from '../../../shared/Mark';
import { clockTime, moment } from '../../../shared/words';
import { RecordLink } from '../../shell/RecordLink';
import type { Notice } from './queries';
import { firstName } from '../../../shared/firstName';

/** Beyond so many people names are not told, only counted. */
const FEW = 6;

interface Props {
  notice: Notice;
  today: string;
  chosen: boolean;
  inRoom: boolean;
  onChoose: () => void;
}

/** A notice: its time, what it says, who wrote it, who has it, and who has seen it. */
export function NoticeLine({ notice, today, chosen, inRoom, onChoose }: Props) {
  const names = notice.seenBy;
  const seen =
    names.length === 0
      ? 'seen by nobody yet'
      : names.length >= notice.of
        ? 'seen by all'
        : notice.of > FEW
          ? `${names.length} of ${notice.of} seen`
          : `seen by ${names.map(firstName).join(', ')}`;
  return (
    <div className={`notice-line${chosen ? ' chosen' : ''}`} data-row={notice.id}>
      <button type="button" className="notice-main" aria-pressed={chosen} onClick={onChoose}>
        <span className="figures second">
          {notice.seen || moment(notice.at).toISODate() === today
            ? clockTime(notice.at)
            : moment(notice.at).toFormat('ccc d')}
        </span>
        <span className={notice.seen ? undefined : 'not-seen'}>
          {!inRoom && <span className="second">{notice.room.name}: </span>}
          {notice.words}
        </span>
        <span>
          {notice.holder ? (
            <Mark kind="under-way">{firstName(notice.holder)} has it</Mark>
          ) : notice.project || notice.submission ? (
            <Mark kind="waiting">nobody has it</Mark>
          ) : null}
        </span>
      </button>
      <p className="notice-foot">
        <em>{notice.by}</em>
        <span className="about">
          {notice.submission && <RecordLink record={notice.submission} />}
          {notice.project && <RecordLink record={notice.project} />}
          {!notice.project && !notice.submission && notice.client && <RecordLink record={notice.client} />}
        </span>
        <span className="second seen-by">
          {notice.of <= FEW && (
            <span className="seen-bricks" aria-hidden="true">
              {Array.from({ length: notice.of }, (_, i) => (
                <span key={i} className={i < names.length ? 'brick' : 'brick open'} />
              ))}
            </span>
          )}
          {seen}
        </span>
      </p>
    </div>
  );
}
