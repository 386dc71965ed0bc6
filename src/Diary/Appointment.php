<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** A meeting or visit at a time. Shown on the day ruler. */
#[ORM\Entity]
#[ORM\Index(columns: ['starts_at'])]
class Appointment
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $title,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $place,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $endsAt,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public bool $confirmed,
    ) {
        $this->id = Ids::next();
    }

    /** @return 'to-come'|'under-way'|'done'|'waiting' */
    public function state(\DateTimeImmutable $now): string
    {
        return match (true) {
            $now >= $this->endsAt => 'done',
            $now >= $this->startsAt => 'under-way',
            $this->confirmed => 'to-come',
            default => 'waiting',
        };
    }
}
