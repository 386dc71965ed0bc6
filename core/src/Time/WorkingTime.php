<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Counts time while the business is open. Real minutes: a clock change inside opening hours counts as it falls. */
final readonly class WorkingTime
{
    private const HORIZON_DAYS = 400;

    private DayTotals $totals;

    public function __construct(private OpeningHours $hours)
    {
        $this->totals = new DayTotals($hours);
    }

    /**
     * The moment at which so many working minutes have passed.
     *
     * @throws \OverflowException when the business does not open enough within 400 days
     */
    public function add(\DateTimeImmutable $from, int $minutes): \DateTimeImmutable
    {
        $left = $minutes * 60;
        $day = $this->noon($from);
        for ($i = 0; $i < self::HORIZON_DAYS; ++$i) {
            foreach ($this->hours->on($day) as [$start, $end]) {
                $start = max($start, $from);
                $open = $end->getTimestamp() - $start->getTimestamp();
                if ($open <= 0) {
                    continue;
                }
                if ($open >= $left) {
                    return $start->setTimestamp($start->getTimestamp() + $left)->setTimezone($this->hours->zone);
                }
                $left -= $open;
            }
            $day = $day->modify('+1 day');
        }
        throw new \OverflowException('the business does not open for long enough within 400 days');
    }

    /** Whole working minutes from one moment to a later one; 0 where there are none. */
    public function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        if ($to <= $from) {
            return 0;
        }
        $first = $this->noon($from);
        $last = $this->noon($to);
        if ($first->format('Y-m-d') === $last->format('Y-m-d')) {
            return intdiv($this->openSeconds($first, $from, $to), 60);
        }
        $seconds = $this->openSeconds($first, $from, null) + $this->openSeconds($last, null, $to);

        return intdiv($seconds + $this->totals->between($first->modify('+1 day'), $last->modify('-1 day')), 60);
    }

    /** Seconds open on a day, from one moment of it to another, or from its beginning, or to its end. */
    private function openSeconds(\DateTimeImmutable $day, ?\DateTimeImmutable $from, ?\DateTimeImmutable $to): int
    {
        $seconds = 0;
        foreach ($this->hours->on($day) as [$start, $end]) {
            $start = null === $from ? $start : max($start, $from);
            $end = null === $to ? $end : min($end, $to);
            $seconds += max(0, $end->getTimestamp() - $start->getTimestamp());
        }

        return $seconds;
    }

    private function noon(\DateTimeImmutable $moment): \DateTimeImmutable
    {
        return $moment->setTimezone($this->hours->zone)->setTime(12, 0);
    }
}
