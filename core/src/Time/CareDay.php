<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** When care that repeats is due: so many months after something was done, or in a certain week of the year, or both. */
final readonly class CareDay
{
    public function __construct(private WorkingDays $calendar)
    {
    }

    /**
     * @param int $months 0 for none: then the next such week
     * @param int|null $week ISO 8601 week; null for none. A week 53 that a year does not have is its last one.
     *
     * @return \DateTimeImmutable a working day: the same day of the month, its last where that is shorter; of a week the first
     */
    public function after(\DateTimeImmutable $done, int $months, ?int $week): \DateTimeImmutable
    {
        $first = new \DateTimeImmutable($done->format('Y-m-01'), new \DateTimeZone('UTC'));
        $month = $first->modify("+$months months");
        $day = $month->modify('+'.(min((int) $done->format('j'), (int) $month->format('t')) - 1).' days');
        if (null === $week) {
            return $this->calendar->add($day, 0);
        }
        for ($year = (int) $day->format('o');; ++$year) {
            $last = (int) (new \DateTimeImmutable("$year-12-28"))->format('W');
            $monday = (new \DateTimeImmutable('2000-01-01', new \DateTimeZone('UTC')))->setISODate($year, min($week, $last))->setTime(0, 0);
            // The week in which that day lies counts, and none that is past.
            if ($monday->modify('+6 days') >= $day && $monday > $done) {
                return $this->calendar->add($monday, 0);
            }
        }
    }
}
