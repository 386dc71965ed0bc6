<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;

/** A reminder that went out, so that it never does twice. */
#[ORM\Entity]
class ReminderSent
{
    /** @param string $startsAt when the appointment began as it went out, in UTC: at another time it is reminded of anew */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $appointmentId,
        #[ORM\Id, ORM\Column]
        public readonly int $minutes,
        #[ORM\Id, ORM\Column(length: 20)]
        public readonly string $startsAt,
    ) {
    }
}
