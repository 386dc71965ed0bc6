<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * Open seconds of whole days, as running totals: a list of clocks that began weeks ago adds each day up once.
 */
final class DayTotals
{
    /** @var array<int, int> open seconds from the first day kept through this one, by day */
    private array $totals = [];
    private ?int $first = null;

    public function __construct(private readonly OpeningHours $hours)
    {
    }

    /**
     * @param \DateTimeImmutable $from any moment of the first local day
     * @param \DateTimeImmutable $to any moment of the last; a day before the first gives 0
     */
    public function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        $first = $this->day($from);
        $last = $this->day($to);
        if ($last < $first) {
            return 0;
        }
        if (null === $this->first || $first < $this->first) {
            $this->first = $first;
            $this->totals = [$first - 1 => 0];
        }

        return $this->through($last) - $this->through($first - 1);
    }

    private function through(int $day): int
    {
        $known = (int) array_key_last($this->totals);
        for (; $known < $day; ++$known) {
            $this->totals[$known + 1] = $this->totals[$known] + $this->open($known + 1);
        }

        return $this->totals[$day];
    }

    private function open(int $day): int
    {
        $seconds = 0;
        foreach ($this->hours->on(new \DateTimeImmutable(gmdate('Y-m-d', $day * 86400).' 12:00', $this->hours->zone)) as [$start, $end]) {
            $seconds += $end->getTimestamp() - $start->getTimestamp();
        }

        return $seconds;
    }

    /** Days since 1970-01-01 of the local date. */
    private function day(\DateTimeImmutable $moment): int
    {
        return intdiv((new \DateTimeImmutable($moment->setTimezone($this->hours->zone)->format('Y-m-d'), new \DateTimeZone('UTC')))->getTimestamp(), 86400);
    }
}
