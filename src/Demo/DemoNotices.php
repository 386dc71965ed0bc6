<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Notices\Board;
use Telamon\Notices\Notice;
use Telamon\Notices\NoticeRoom;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** What stood on the board of the workshop in the last days. */
final readonly class DemoNotices
{
    private const ROOMS = [
        'van' => ['Van and moving', 'deliveries, collections, the van', ['coordinator', 'pim', 'teo']],
        'workshop' => ['Workshop', 'repairs, strings, parts', []],
        'money' => ['Money', 'deposits and bills', ['coordinator', 'sorcha']],
    ];

    /** Hours before now, room, who or what wrote it, words, whether it is about the newest project but so many, who has seen it. */
    private const NOTICES = [
        [
            51,
            'van',
            'Schools and halls are told early',
            'Collect three uprights from Gable Lane School on Thursday at 08:30. The gate code is with the porter, and there are no steps.',
            6,
            ['coordinator', 'pim', 'teo'],
        ],
        [46, 'workshop', 'Parts, 10 days ahead', 'Strings for no. 31642 come on Thursday, in two parcels, before noon.', 4, ['coordinator', 'sorcha']],
        [29, 'money', 'Deposits that are late', 'The deposit for the Halk & Roe has not come in nine days.', 2, ['sorcha']],
        [27, 'desk', 'Sorcha Vell', 'The kettle is mended. Whoever broke it is forgiven.', null, ['sorcha', 'pim']],
        [8, 'van', 'Sorcha Vell', 'The long ramp is at Quarry Hall, behind the stage door until noon. I bring it to the workshop myself.', null, ['sorcha', 'pim', 'coordinator']],
        [5, 'van', 'Changes go to the van', 'Wilf Ambry asks for a later delivery: not 13:30 but after 14:30, “the lift is being mended”.', 1, ['pim']],
        [3, 'van', 'A yes with a move goes to the van', 'Hugh Orrin says yes. Collect one upright from 8 Orchard Row, any day but the Friday.', 0, ['pim', 'teo']],
        [1, 'workshop', 'Photographs came', 'Photographs of the cracked soundboard are on file.', 3, []],
    ];

    public function __construct(private EntityManagerInterface $em, private DemoTimeline $timeline, private Changes $changes, private Board $board)
    {
    }

    public function plan(\DateTimeImmutable $now): void
    {
        $this->timeline->at($now->modify('-13 days'), function (): void {
            $this->changes->carryOut(Act::of(ChangeKind::Setup, 'opened rooms of the notice board')->at($this->timeline->now()), function (): void {
                foreach (self::ROOMS as $key => [$name, $about, $members]) {
                    $room = new NoticeRoom($key, $name);
                    $room->become($name, $about, 'money' === $key, array_map(fn (string $one): string => $this->staff($one)->id, $members));
                    $this->em->persist($room);
                }
            });
        });
        foreach (self::NOTICES as [$hours, $room, $by, $words, $about, $seen]) {
            $this->timeline->at($now->modify("-$hours hours"), fn () => $this->write($room, $by, $words, $about, $seen));
        }
    }

    /** @param list<string> $seen */
    private function write(string $room, string $by, string $words, ?int $about, array $seen): void
    {
        $in = $this->em->getRepository(NoticeRoom::class)->findOneBy(['key' => $room]);
        $project = null === $about ? null : $this->em->getRepository(Project::class)->findBy([], ['number' => 'DESC'], 1, $about)[0] ?? null;
        if (null === $in) {
            return;
        }
        $notice = $this->changes->carryOut(Act::of(ChangeKind::Setup, "wrote in {$in->name}")->at($this->timeline->now()), function () use ($in, $words, $by, $project): Notice {
            $notice = new Notice($in, $words, $by, $project?->client, $project, null, $this->timeline->now());
            $this->em->persist($notice);

            return $notice;
        });
        foreach ($seen as $one) {
            $this->board->see([$notice->id], $this->staff($one));
        }
    }

    private function staff(string $name): Staff
    {
        return $this->em->getRepository(Staff::class)->findOneBy(['email' => "$name@marrowby.example"]) ?? throw new \LogicException("$name works here");
    }
}
