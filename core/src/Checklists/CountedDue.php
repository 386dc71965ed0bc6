<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Time\WorkingDays;

/** The day that so much after a moment or a day is, before it where negative. */
final class CountedDue
{
    /** @param \DateTimeImmutable $from a moment in the business's zone, or a day */
    public static function day(WorkingDays $calendar, \DateTimeImmutable $from, Due $due): \DateTimeImmutable
    {
        // Hours are counted as time goes by, whatever the clocks do that night; the day is the one at the business.
        if (DueUnit::Hours === $due->unit) {
            $at = (new \DateTimeImmutable('@'.($from->getTimestamp() + 3600 * $due->amount)))->setTimezone($from->getTimezone());

            return $calendar->add(Anchors::day($at), 0);
        }
        $day = Anchors::day($from);
        if (DueUnit::CalendarDays === $due->unit) {
            $day = $day->modify(\sprintf('%+d days', $due->amount));

            return $due->amount < 0 ? $calendar->back($day, 0) : $calendar->add($day, 0);
        }
        // From the ready-by day as it is rolled back, from any other as it is rolled forward.
        $rolled = DueFrom::ReadyBy === $due->from ? $calendar->back($day, 0) : $day;

        return $calendar->add($rolled, $due->amount);
    }
}
