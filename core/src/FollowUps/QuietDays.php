<?php

declare(strict_types=1);

namespace Telamon\Core\FollowUps;

use Telamon\Core\Time\WorkingDays;

/** Days on which nothing leaves that nobody waits for. */
enum QuietDays: string
{
    case None = 'none';
    case Sundays = 'sundays';
    case Weekends = 'weekends';
    /** Whatever day the business does not work, its closures too. */
    case Closed = 'closed';

    /** @param \DateTimeImmutable $at in the time zone in which the day is counted */
    public function has(\DateTimeImmutable $at, WorkingDays $working): bool
    {
        return match ($this) {
            self::None => false,
            self::Sundays => '7' === $at->format('N'),
            self::Weekends => $at->format('N') >= '6',
            self::Closed => !$working->isWorked(new \DateTimeImmutable($at->format('Y-m-d'), new \DateTimeZone('UTC'))),
        };
    }
}
