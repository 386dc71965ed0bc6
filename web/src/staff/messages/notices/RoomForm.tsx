import type { ReactNode } from 'react';
import type { Schema } from '../../../shared/api';
import { useSignedIn } from '../../session';
import { faultsOf } from '../../shell/faultsOf';
import { useOnce } from '../../shell/useOnce';
import { useUnsaved } from '../../shell/useUnsaved';
import { Posts } from './Posts';
import { useBoard, type Room } from './queries';

type Edit = Required<Schema<'NoticeRoomEdit'>>;
type Hours = Edit['onCall'][number];

const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

interface Props {
  room: Room | null;
  staff: { value: string; label: string }[];
  onDone: () => void;
}

/** A room: what it is for, and who is in it. */
export function RoomForm({ room, staff, onDone }: Props) {
  const before: Edit = {
    name: room?.name ?? '',
    about: room?.about ?? '',
    closed: room?.closed ?? false,
    members: room?.members.map((one) => one.id) ?? [],
    onCall: room?.onCall ?? [],
    postTo: room?.postTo ?? '',
  };
  const [typed, setEdit, forget] = useUnsaved<Partial<Edit>>(`notice-room.${room?.id ?? 'new'}`, {});
  const edit = { ...before, ...typed };
  const { name, about, closed, members, onCall, postTo } = edit;
  const { user } = useSignedIn();
  const change = (part: Partial<Edit>) => setEdit({ ...typed, ...part });
  const board = useBoard();
  const once = useOnce();
  const leave = () => {
    forget();
    onDone();
  };
  const { beside: fault, other } = faultsOf(board.error);
  return (
    <form
      className="room-form"
      aria-label={room ? `Edit ${room.name}` : 'A new room'}
      onSubmit={(event) => {
        event.preventDefault();
        once((done) => board.mutate({ what: 'room', id: room?.id ?? '', edit }, { onSettled: done, onSuccess: leave }));
      }}
    >
      <label>
        Name <input value={name} maxLength={60} onChange={(event) => change({ name: event.target.value })} />
      </label>
      {fault('name')}
      <label>
        For what <input value={about} maxLength={200} onChange={(event) => change({ about: event.target.value })} />
      </label>
      <fieldset>
        <legend>Who is in it; nobody ticked means everybody</legend>
        {staff.map((one) => (
          <label key={one.value}>
            <input
              type="checkbox"
              checked={members.includes(one.value)}
              onChange={(event) =>
                change({
                  members: event.target.checked ? [...members, one.value] : members.filter((id) => id !== one.value),
                })
              }
            />{' '}
            {one.label}
          </label>
        ))}
      </fieldset>
      {fault('members')}
      {other && (
        <p className="fault" role="alert">
          {other}
        </p>
      )}
      <label>
        <input type="checkbox" checked={closed} onChange={(event) => change({ closed: event.target.checked })} /> Only
        they may read it
      </label>
      <fieldset>
        <legend>On call: told by mail at once, not only at noon and at five</legend>
        {onCall.map((hours, i) => (
          <OnCallRow
            key={i}
            hours={hours}
            staff={staff}
            fault={fault(`onCall.${i}.staff`) || fault(`onCall.${i}.days`)}
            onChange={(next) => change({ onCall: onCall.map((one, at) => (at === i ? next : one)) })}
            onRemove={() => change({ onCall: onCall.filter((_, at) => at !== i) })}
          />
        ))}
        <button
          type="button"
          className="link-button"
          onClick={() =>
            change({
              onCall: [...onCall, { staff: staff[0]?.value ?? '', days: [6, 7], from: '08:00', until: '20:00' }],
            })
          }
        >
          Add hours
        </button>
        {fault('onCall')}
      </fieldset>
      {user.may.includes('setup.change') && (
        <>
          <label>
            Send every notice on to a chat of your own, at this address{' '}
            <input
              type="url"
              value={postTo}
              maxLength={500}
              placeholder="https://"
              onChange={(event) => change({ postTo: event.target.value })}
            />
          </label>
          {fault('postTo')}
          {room?.postTo && <Posts room={room.id} />}
        </>
      )}
      <p className="step-acts">
        <button type="submit" disabled={board.isPending}>
          Save
        </button>
        <button type="button" onClick={leave}>
          Cancel
        </button>
      </p>
    </form>
  );
}

interface RowProps {
  hours: Hours;
  staff: Props['staff'];
  fault: ReactNode;
  onChange: (hours: Hours) => void;
  onRemove: () => void;
}

/** Who, on which days, from when until when. */
function OnCallRow({ hours, staff, fault, onChange, onRemove }: RowProps) {
  const time = (field: 'from' | 'until', label: string) => (
    <input
      type="time"
      aria-label={label}
      value={hours[field]}
      onChange={(event) => onChange({ ...hours, [field]: event.target.value })}
    />
  );
  return (
    <div className="on-call">
      <select
        aria-label="Who is on call"
        value={hours.staff}
        onChange={(event) => onChange({ ...hours, staff: event.target.value })}
      >
        {!staff.some((one) => one.value === hours.staff) && <option value={hours.staff}>choose…</option>}
        {staff.map((one) => (
          <option key={one.value} value={one.value}>
            {one.label}
          </option>
        ))}
      </select>{' '}
      {time('from', 'From')} to {time('until', 'Until')}{' '}
      <button type="button" className="link-button" onClick={onRemove}>
        Remove
      </button>
      <span className="on-call-days">
        {days.map((name, i) => (
          <label key={name}>
            <input
              type="checkbox"
              checked={hours.days.includes(i + 1)}
              onChange={(event) =>
                onChange({
                  ...hours,
                  days: event.target.checked
                    ? [...hours.days, i + 1].sort((a, b) => a - b)
                    : hours.days.filter((day) => day !== i + 1),
                })
              }
            />{' '}
            {name}
          </label>
        ))}
      </span>
      {fault}
    </div>
  );
}
