import { useEffect, useState } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { Mark } from '../../../shared/Mark';
import { ComingRows, Empty, Trouble } from '../../../shared/Notice';
import { newKey } from '../../../shared/newKey';
import { longDay, moment, when } from '../../../shared/words';
import { useKey } from '../../keys';
import { Allowed } from '../../shell/Allowed';
import { useToday } from '../../shell/day';
import '../../shell/list-group.css';
import { MoreButton } from '../../shell/MoreButton';
import { Pillars } from '../../shell/Pillars';
import { PillarsWaiting } from '../../shell/PillarsWaiting';
import { NotFound } from '../../shell/Plain';
import { RecordLink } from '../../shell/RecordLink';
import { useToast } from '../../shell/Toast';
import { useOnce } from '../../shell/useOnce';
import { useUnsaved } from '../../shell/useUnsaved';
import '../followups/followups.css';
import '../messages.css';
import { PartsOfMessages } from '../PartsOfMessages';
import '../templates/templates.css';
import { NoticeLine } from './NoticeLine';
import './notices.css';
import { useBoard, useNotices, useRooms, type Notice, type Room } from './queries';
import { RoomForm } from './RoomForm';
import { firstName } from '../../../shared/firstName';

/** Milliseconds after which a notice that is chosen counts as seen. */
const LOOKED = 2000;
/** How many the server takes as seen in one call. */
const MOST_AT_ONCE = 200;

/** The notice board. */
export function NoticesScreen() {
  const { id } = useParams();
  const rooms = useRooms();
  if (!rooms.data) return <PillarsWaiting title="Notices" query={rooms} />;
  const room = rooms.data.items.find((one) => one.id === id || one.key === id);
  if (id && !room) return <NotFound what="room" />;
  return <Board key={room?.id ?? ''} rooms={rooms.data.items} staff={rooms.data.staff} room={room} />;
}

interface Props {
  rooms: Room[];
  staff: { value: string; label: string }[];
  room: Room | undefined;
}

function Board({ rooms, staff, room }: Props) {
  const navigate = useNavigate();
  const today = useToday();
  const toast = useToast();
  const board = useBoard();
  const posting = useBoard();
  const list = useNotices(room?.id ?? '');
  const [chosenId, choose] = useState<string | null>(null);
  const [editing, setEditing] = useState<'room' | 'new' | null>(null);
  const [writing, setWriting] = useState(false);
  const [words, setWords, forget] = useUnsaved<string>(`notice.${room?.id ?? ''}`, '');
  const [key, setKey] = useState(newKey);
  const once = useOnce();
  const notices = list.data?.pages.flatMap((page) => page.items) ?? [];
  const groups = grouped(notices, today);
  const inOrder = groups.flatMap(([, items]) => items);
  const chosen = inOrder.find((one) => one.id === chosenId) ?? inOrder[0];
  const place = inOrder.findIndex((one) => one.id === chosen?.id);
  const go = (to: number) => {
    const next = inOrder[to];
    if (next) {
      choose(next.id);
      document.querySelector(`[data-row="${next.id}"]`)?.scrollIntoView({ block: 'nearest' });
    }
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const fail = (error: Error) => toast({ words: error.message });
  const see = (ids: string[]) => {
    for (let at = 0; at < ids.length; at += MOST_AT_ONCE) {
      board.mutate({ what: 'seen', notices: ids.slice(at, at + MOST_AT_ONCE) }, { onError: fail });
    }
  };
  const looked = chosenId !== null && chosen && !chosen.seen ? chosen.id : '';
  const { mutate } = board;
  useEffect(() => {
    if (!looked) return undefined;
    const timer = setTimeout(() => mutate({ what: 'seen', notices: [looked] }), LOOKED);
    return () => clearTimeout(timer);
  }, [looked, mutate]);
  const unseen = inOrder.filter((one) => !one.seen);
  const write = () => {
    const to = room ?? rooms[0];
    if (!to || !words.trim()) return;
    once((done) =>
      posting.mutate(
        { what: 'write', key, room: to.id, words },
        {
          onSettled: done,
          onSuccess: () => {
            setWords('');
            forget();
            setKey(newKey());
            setWriting(false);
            toast({ words: `Written in ${to.name}` });
          },
        },
      ),
    );
  };
  const take = (notice: Notice) =>
    board.mutate(
      { what: 'take', id: notice.id, taken: !notice.holder },
      { onSuccess: () => toast({ words: notice.holder ? 'Nobody has it now' : 'You have it' }), onError: fail },
    );
  return (
    <Pillars
      title={room ? `${room.name}, Notices` : 'Notices'}
      pillars={[
        {
          name: 'Rooms',
          width: '252px',
          middling: '220px',
          folds: true,
          tally: rooms.reduce((sum, one) => sum + one.unseen, 0),
          content: (
            <>
              <Allowed to="messages.see">
                <PartsOfMessages />
              </Allowed>
              <section aria-label="Rooms" className="list-group rooms">
                <h2>
                  <em>Rooms</em>
                  <Allowed to="messages.write">
                    <small>
                      <button type="button" className="link-button" onClick={() => setEditing('new')}>
                        Add room
                      </button>
                    </small>
                  </Allowed>
                </h2>
                <ul>
                  <li>
                    <NavLink end to="/messages/notices" className={room ? 'list-row' : 'list-row active'}>
                      <b>To me</b>
                      <span className="second">from every room</span>
                    </NavLink>
                  </li>
                  {rooms.map((one) => (
                    <li key={one.id}>
                      <NavLink
                        to={`/messages/notices/${one.id}`}
                        className={one.id === room?.id ? 'list-row active' : 'list-row'}
                      >
                        <span>
                          <b>{one.name}</b>
                          <small className="second room-who">
                            {one.closed ? 'private: ' : 'open: '}
                            {one.members.length === 0
                              ? 'everybody'
                              : one.members.map((each) => firstName(each.name)).join(', ')}
                          </small>
                        </span>
                        {one.unseen > 0 && <Mark kind="new">{one.unseen} new</Mark>}
                      </NavLink>
                    </li>
                  ))}
                </ul>
                {editing === 'new' && <RoomForm room={null} staff={staff} onDone={() => setEditing(null)} />}
              </section>
              <p className="second">Who has not seen a notice for an hour gets it by mail at noon and at five.</p>
            </>
          ),
        },
        {
          name: 'Notices',
          width: '548px',
          middling: '1fr',
          wide: '640px',
          content: (
            <>
              <div className="pillar-head">
                <h1>{room?.name ?? 'To me'}</h1>
                <small>
                  {room?.about}{' '}
                  {room && (
                    <Allowed to="messages.write">
                      <button type="button" className="link-button" onClick={() => setEditing('room')}>
                        Edit
                      </button>
                    </Allowed>
                  )}
                </small>
              </div>
              {room && editing === 'room' && <RoomForm room={room} staff={staff} onDone={() => setEditing(null)} />}
              {(writing || words) && (
                <form
                  className="notice-write"
                  onSubmit={(event) => {
                    event.preventDefault();
                    write();
                  }}
                >
                  <textarea
                    aria-label={`Write in ${(room ?? rooms[0])?.name ?? ''}`}
                    rows={2}
                    readOnly={posting.isPending}
                    maxLength={2000}
                    autoFocus={writing}
                    value={words}
                    onChange={(event) => setWords(event.target.value)}
                    onKeyDown={(event) => {
                      if (event.key === 'Enter' && !event.shiftKey) {
                        event.preventDefault();
                        write();
                      }
                      if (event.key === 'Escape') setWriting(false);
                    }}
                  />
                  <p className="step-acts">
                    <button type="submit" disabled={posting.isPending || !words.trim()}>
                      Write it in {(room ?? rooms[0])?.name}
                    </button>
                    <button
                      type="button"
                      onClick={() => {
                        setWords('');
                        forget();
                        setWriting(false);
                      }}
                    >
                      Cancel
                    </button>
                  </p>
                  {posting.error && (
                    <p className="fault" role="alert">
                      {posting.error.message}
                    </p>
                  )}
                </form>
              )}
              {list.isPending && <ComingRows rows={6} />}
              {list.isError && (
                <Trouble title="Not loaded" again={() => void list.refetch()}>
                  {list.error.message}
                </Trouble>
              )}
              {list.isSuccess && notices.length === 0 && (
                <Empty fact="Nothing on the board here.">A rule tells a room, or you write to it.</Empty>
              )}
              {groups.map(([title, items]) => (
                <section key={title} aria-label={title}>
                  <h2 className="group-label">{title}</h2>
                  {items.map((notice) => (
                    <NoticeLine
                      key={notice.id}
                      notice={notice}
                      today={today}
                      inRoom={room !== undefined}
                      chosen={notice.id === chosen?.id}
                      onChoose={() => choose(notice.id)}
                    />
                  ))}
                </section>
              ))}
              <MoreButton list={list} />
            </>
          ),
          blocks: [
            { label: 'Write to the room', keyName: 'write', act: () => setWriting(true) },
            ...(unseen.length > 0
              ? [{ label: 'All seen', disabled: board.isPending, act: () => see(unseen.map((one) => one.id)) }]
              : []),
          ],
        },
        {
          name: 'One',
          sheet: true,
          width: '1fr',
          middling: '340px',
          content: chosen ? <One notice={chosen} today={today} /> : null,
          blocks: chosen
            ? [
                ...((chosen.submission ?? chosen.project)
                  ? [
                      {
                        label: `Open ${(chosen.submission ?? chosen.project)?.label.split(' ')[0] ?? ''}`,
                        keyName: 'main' as const,
                        main: true,
                        act: () => {
                          if (!chosen.seen) see([chosen.id]);
                          void navigate((chosen.submission ?? chosen.project)?.path ?? '/');
                        },
                      },
                    ]
                  : []),
                {
                  label: chosen.holder ? 'Give it back' : 'I have it',
                  disabled: board.isPending,
                  act: () => take(chosen),
                },
              ]
            : [],
        },
      ]}
    />
  );
}

/** Not seen first, then today's, then days. */
function grouped(notices: Notice[], today: string): [string, Notice[]][] {
  const groups = new Map<string, Notice[]>();
  const unseen = notices.filter((one) => !one.seen);
  if (unseen.length > 0) groups.set(`Not seen by you, ${unseen.length}`, unseen);
  for (const notice of notices.filter((one) => one.seen)) {
    const day = moment(notice.at).toISODate() ?? '';
    const title = day === today ? 'Seen today' : longDay(day);
    groups.set(title, [...(groups.get(title) ?? []), notice]);
  }
  return [...groups];
}

function One({ notice, today }: { notice: Notice; today: string }) {
  return (
    <article className="notice-one">
      <div className="pillar-head">
        <h2>{notice.by}</h2>
        <small className="figures">
          {when(notice.at, today)}, to {notice.room.name}
        </small>
      </div>
      <p className="letter serif letter-text">{notice.words}</p>
      {(notice.client ?? notice.project ?? notice.submission) && (
        <p className="about">
          {notice.client && <RecordLink record={notice.client} />}
          {notice.project && <RecordLink record={notice.project} />}
          {notice.submission && <RecordLink record={notice.submission} />}
        </p>
      )}
      <h3 className="group-label">
        Seen by {notice.seenBy.length} of {notice.of}
      </h3>
      <ul className="rows">
        {notice.seenBy.map((name) => (
          <li key={name}>
            <span className="line-top">
              <span>{name}</span>
              <Mark kind="done">seen</Mark>
            </span>
          </li>
        ))}
      </ul>
      <h3 className="group-label">Who has it</h3>
      <p>{notice.holder ? <Mark kind="under-way">{notice.holder}</Mark> : <Mark kind="waiting">nobody</Mark>}</p>
    </article>
  );
}
