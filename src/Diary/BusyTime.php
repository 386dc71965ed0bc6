<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A time at which somebody is busy, as another calendar says. */
#[ORM\Entity]
#[ORM\Index(columns: ['staff_id', 'starts_at'], name: 'busy_time_starts')]
class BusyTime
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
        public readonly BusyCalendar $calendar,
        #[ORM\Column(length: 36)]
        public readonly string $staffId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $endsAt,
    ) {
        $this->id = Ids::next();
    }
}
