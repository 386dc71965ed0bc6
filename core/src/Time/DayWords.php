<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Days in words: “Wed 25 November”, with the year where it is not this one. */
final class DayWords
{
    public static function short(\DateTimeImmutable $day, \DateTimeImmutable $today): string
    {
        return $day->format($day->format('Y') === $today->format('Y') ? 'D j F' : 'D j F Y');
    }

    /** “in 41 days”, “tomorrow”, “today”, “3 days ago”. */
    public static function distance(\DateTimeImmutable $day, \DateTimeImmutable $today): string
    {
        $utc = new \DateTimeZone('UTC');
        $days = (int) (new \DateTimeImmutable($today->format('Y-m-d'), $utc))->diff(new \DateTimeImmutable($day->format('Y-m-d'), $utc))->format('%r%a');

        return match (true) {
            0 === $days => 'today',
            1 === $days => 'tomorrow',
            -1 === $days => 'yesterday',
            $days < 0 => -$days.' days ago',
            default => "in $days days",
        };
    }
}
