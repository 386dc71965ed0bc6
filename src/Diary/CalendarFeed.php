<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Staff\Staff;

/** The secret address under which a calendar is read. */
#[ORM\Entity]
class CalendarFeed
{
    /**
     * @param string $id the secret part of its address
     * @param Staff|null $staff whose; null for the whole business
     */
    public function __construct(
        #[ORM\Id, ORM\Column(name: 'token', length: 64)]
        public readonly string $id,
        #[ORM\ManyToOne]
        public readonly ?Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $madeAt,
    ) {
    }
}
