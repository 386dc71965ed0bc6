<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Effects\CameToNothing;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\StaffToBeTold;
use Telamon\Projects\Project;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Writes notices, and who has seen and who has them. */
final readonly class Board
{
    private const LONGEST = 2000;

    public function __construct(private EntityManagerInterface $em, private Rooms $rooms, private Publishing $publishing, private Changes $changes, private ClockInterface $clock)
    {
    }

    /** What a follow-up tells, in the change that it is told in. */
    #[AsEventListener]
    public function told(StaffToBeTold $event): void
    {
        $room = $this->rooms->find($event->room);
        if (null !== $room) {
            $notice = new Notice($room, $event->words, mb_substr($event->by, 0, 200), $event->client, $event->project, $event->submissionId, $this->clock->now());
            $this->publishing->publish($notice);
            $event->touch($notice);
        }
    }

    /** A plan was accepted, and a part of it could not be done: whoever accepted it thinks that it was. */
    #[AsEventListener]
    public function cameToNothing(CameToNothing $event): void
    {
        $told = new StaffToBeTold('', ucfirst($event->why), $event->by, $event->made->find(Client::class), $event->made->find(Project::class), $event->made->occasion?->id);
        $this->told($told);
        $event->touch(...$told->touched());
    }

    /**
     * @param string $id of the notice to be: the same again is the same notice
     *
     * @throws Refusal
     */
    public function write(string $id, NoticeRoom $room, string $words, Staff $staff): Notice
    {
        $there = $this->em->find(Notice::class, $id);
        if (null !== $there) {
            return $there;
        }
        $words = trim($words);
        if ('' === $words || mb_strlen($words) > self::LONGEST) {
            throw new InvalidInput('words', '' === $words ? 'Write something here.' : 'Shorten this to '.self::LONGEST.' letters.');
        }
        $notice = $this->changes->carryOut($this->act("wrote in {$room->name}", $room, $staff), function () use ($id, $room, $words, $staff): Notice {
            // Looked for again under the write lock: the same may have come twice at one moment.
            $there = $this->em->find(Notice::class, $id);
            if (null !== $there) {
                return $there;
            }
            $notice = new Notice($room, $words, $staff->name, null, null, null, $this->clock->now(), $id);
            $this->publishing->publish($notice, $staff);

            return $notice;
        });
        $this->see([$notice->id], $staff);

        return $notice;
    }

    /** @throws Refusal where somebody else has taken it meanwhile */
    public function take(Notice $notice, bool $taken, Staff $staff): void
    {
        $this->changes->carryOut($this->act(
            $taken ? "has “{$notice->recordLabel()}”" : "gave back “{$notice->recordLabel()}”",
            $notice->room,
            $staff,
        )->looking($notice), static function () use ($notice, $taken, $staff): void {
            if ($taken && null !== $notice->holder && $notice->holder !== $staff) {
                throw new ChangedMeanwhile("{$notice->holder->name} has it already.");
            }
            $notice->giveTo($taken ? $staff : null);
        });
        $this->see([$notice->id], $staff);
    }

    /** @param list<string> $notices ids; what is not there is passed over */
    public function see(array $notices, Staff $staff): void
    {
        $db = $this->em->getConnection();
        foreach ($this->em->getRepository(Notice::class)->findBy(['id' => $notices]) as $notice) {
            if ($notice->room->admits($staff)) {
                // Two windows may say so at one moment.
                $db->executeStatement(
                    'INSERT INTO notice_seen (id, notice_id, staff_id, seen_at) VALUES (?, ?, ?, ?) ON CONFLICT (notice_id, staff_id) DO UPDATE SET seen_at = COALESCE(notice_seen.seen_at, excluded.seen_at)',
                    [Ids::next(), $notice->id, $staff->id, $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
                );
            }
        }
    }

    private function act(string $words, NoticeRoom $room, Staff $staff): Act
    {
        return Act::of(ChangeKind::Handle, $words, $staff)->on('business', $room->id, $room->name);
    }
}
