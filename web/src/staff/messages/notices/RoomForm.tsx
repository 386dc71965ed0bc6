import { ProblemError, type Schema } from '../../../shared/api';
import { useOnce } from '../../shell/useOnce';
import { useUnsaved } from '../../shell/useUnsaved';
import { useBoard, type Room } from './queries';

type Edit = Required<Schema<'NoticeRoomEdit'>>;

interface Props {
  room: Room | null;
  staff: { value: string; label: string }[];
  onDone: () => void;
}

/** A room: what it is for, and who is in it. */
export function RoomForm({ room, staff, onDone }: Props) {
  const [edit, setEdit, forget] = useUnsaved<Edit>(`notice-room.${room?.id ?? 'new'}`, {
    name: room?.name ?? '',
    about: room?.about ?? '',
    closed: room?.closed ?? false,
    members: room?.members.map((one) => one.id) ?? [],
  });
  const { name, about, closed, members } = edit;
  const change = (part: Partial<Edit>) => setEdit({ ...edit, ...part });
  const board = useBoard();
  const once = useOnce();
  const leave = () => {
    forget();
    onDone();
  };
  const faults =
    board.error instanceof ProblemError
      ? Object.fromEntries(board.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  const fault = (field: string) =>
    faults[field] && (
      <p className="fault" role="alert">
        {faults[field]}
      </p>
    );
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
      {board.error && Object.keys(faults).length === 0 && (
        <p className="fault" role="alert">
          {board.error.message}
        </p>
      )}
      <label>
        <input type="checkbox" checked={closed} onChange={(event) => change({ closed: event.target.checked })} /> Only
        they may read it
      </label>
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
