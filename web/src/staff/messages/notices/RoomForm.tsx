import { useState } from 'react';
import { ProblemError } from '../../../shared/api';
import { useBoard, type Room } from './queries';

interface Props {
  room: Room | null;
  staff: { value: string; label: string }[];
  onDone: () => void;
}

/** A room: what it is for, and who is in it. */
export function RoomForm({ room, staff, onDone }: Props) {
  const [name, setName] = useState(room?.name ?? '');
  const [about, setAbout] = useState(room?.about ?? '');
  const [closed, setClosed] = useState(room?.closed ?? false);
  const [members, setMembers] = useState(room?.members.map((one) => one.id) ?? []);
  const board = useBoard();
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
        board.mutate(
          { what: 'room', id: room?.id ?? '', edit: { name, about, closed, members } },
          { onSuccess: onDone },
        );
      }}
    >
      <label>
        Name <input value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
      </label>
      {fault('name')}
      <label>
        For what <input value={about} maxLength={200} onChange={(event) => setAbout(event.target.value)} />
      </label>
      <fieldset>
        <legend>Who is in it; nobody ticked means everybody</legend>
        {staff.map((one) => (
          <label key={one.value}>
            <input
              type="checkbox"
              checked={members.includes(one.value)}
              onChange={(event) =>
                setMembers(event.target.checked ? [...members, one.value] : members.filter((id) => id !== one.value))
              }
            />{' '}
            {one.label}
          </label>
        ))}
      </fieldset>
      {fault('members')}
      <label>
        <input type="checkbox" checked={closed} onChange={(event) => setClosed(event.target.checked)} /> Only they may
        read it
      </label>
      <p className="step-acts">
        <button type="submit" disabled={board.isPending}>
          Save
        </button>
        <button type="button" onClick={onDone}>
          Cancel
        </button>
      </p>
    </form>
  );
}
