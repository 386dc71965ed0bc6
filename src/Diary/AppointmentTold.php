<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;

/** What the client was last told of an appointment: nothing is told twice, and what differs from it is told. */
#[ORM\Entity]
class AppointmentTold
{
    /**
     * @param string $digest of what was told
     * @param int $sequence how often it changed (RFC 5545, SEQUENCE)
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $appointmentId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 10, enumType: AppointmentState::class)]
        public AppointmentState $state,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 64)]
        public string $digest,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public int $sequence,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $startsAt,
    ) {
    }

    public function say(AppointmentState $state, string $digest, int $sequence, \DateTimeImmutable $startsAt): void
    {
        $this->state = $state;
        $this->digest = $digest;
        $this->sequence = $sequence;
        $this->startsAt = $startsAt;
    }
}
