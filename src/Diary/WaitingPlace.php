<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** Somebody who waits for a place in a group that is full. Whoever waits longest is offered the next place that becomes free. */
#[ORM\Entity]
#[ORM\Index(columns: ['starts_at'], name: 'waiting_place_starts')]
class WaitingPlace
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation what they were offered; null while they wait */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $appointmentId = null;

    /** @param string $begunBy digest of the link that they wait under: one link waits for one time */
    public function __construct(
        #[ORM\Column(length: 64, unique: true)]
        public readonly string $begunBy,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly VisitType $type,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
        #[ORM\Column]
        public readonly int $minutes,
        #[ORM\Column(length: 300)]
        public readonly string $address,
        #[ORM\Column(length: 200)]
        public readonly string $who,
        #[ORM\Column(length: 254)]
        public readonly string $email,
        #[ORM\Column(length: 60)]
        public readonly string $zone,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $clientId,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $projectId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $since,
    ) {
        $this->id = Ids::next();
    }

    public function isOffered(string $appointmentId): void
    {
        $this->appointmentId = $appointmentId;
    }
}
