<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;

/** One beginning on a booking page, and how far it came. */
#[ORM\Entity]
#[ORM\Index(columns: ['page', 'begun_at'], name: 'booking_start_page')]
class BookingStart
{
    #[ORM\Column(length: 60, options: ['default' => ''])]
    public string $type = '';

    /** How many times were shown. */
    #[ORM\Column(options: ['default' => 0])]
    public int $offers = 0;

    /** The steps in their order. */
    private const STEPS = ['times', 'held', 'waits', 'offered', 'booked'];

    /** the furthest of them that was reached */
    #[ORM\Column(length: 10)]
    public string $step = 'times';

    #[ORM\Column(length: 36, nullable: true)]
    public ?string $appointmentId = null;

    /** @param string $id digest of the link that it began with */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $id,
        #[ORM\Column(length: 60)]
        public readonly string $page,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $begunAt,
    ) {
    }

    public function reach(string $step): void
    {
        if (array_search($step, self::STEPS, true) > array_search($this->step, self::STEPS, true)) {
            $this->step = $step;
        }
    }
}
