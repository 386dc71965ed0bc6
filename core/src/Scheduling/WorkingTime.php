<?php

declare(strict_types=1);

namespace Telamon\Core\Scheduling;

/** Counts time while the business is open. Real minutes: a clock change inside opening hours counts as it falls. */
final readonly class WorkingTime
{
    private const HORIZON_DAYS = 400;

    public function __construct(private OpeningHours $hours)
    {
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
        $seconds = 0;
        $last = $this->noon($to);
        for ($day = $this->noon($from); $day <= $last; $day = $day->modify('+1 day')) {
            foreach ($this->hours->on($day) as [$start, $end]) {
                $seconds += max(0, min($end, $to)->getTimestamp() - max($start, $from)->getTimestamp());
            }
        }

        return intdiv($seconds, 60);
    }

    private function noon(\DateTimeImmutable $moment): \DateTimeImmutable
    {
        return $moment->setTimezone($this->hours->zone)->setTime(12, 0);
    }
}
