<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/**
 * Counts working days: certain days of the week, less closures. Days are ISO 8601 dates without time. Each worked day
 * of the week has a number from 1970-01-01 on, closures being some of these numbers: so no count walks day by day.
 */
final readonly class WorkingDays
{
    private const DAY = 86400;

    /** @var list<int> ISO 8601 days of the week, ascending */
    private array $weekdays;

    /** @var array<int, int> by ISO 8601 day of the week, how many worked ones lie before it */
    private array $before;

    /** @var list<int> numbers of the closures that fall on a worked day of the week, ascending */
    private array $closed;

    /**
     * @param list<int> $weekdays ISO 8601 days of the week that are worked, Monday 1 to Sunday 7
     * @param list<string> $closures ISO 8601 days that are not worked
     */
    public function __construct(array $weekdays, array $closures)
    {
        $weekdays = array_values(array_unique($weekdays));
        if ([] === $weekdays) {
            throw new \InvalidArgumentException('at least one day of the week is worked');
        }
        sort($weekdays);
        $this->weekdays = $weekdays;
        $before = [];
        foreach (range(1, 7) as $weekday) {
            $before[$weekday] = \count(array_filter($weekdays, static fn (int $worked): bool => $worked < $weekday));
        }
        $this->before = $before;
        $closed = [];
        foreach ($closures as $closure) {
            $day = self::day(new \DateTimeImmutable($closure));
            if (\in_array(self::weekday($day), $weekdays, true)) {
                $closed[] = $this->number($day);
            }
        }
        $closed = array_values(array_unique($closed));
        sort($closed);
        $this->closed = $closed;
    }

    public function isWorked(\DateTimeImmutable $day): bool
    {
        $at = self::day($day);

        return \in_array(self::weekday($at), $this->weekdays, true) && !$this->isClosed($this->number($at));
    }

    /**
     * The day that lies so many working days on (back, where negative). A day that is not worked counts
     * as the next one that is, as numpy's busday_offset does with roll='forward'.
     */
    public function add(\DateTimeImmutable $day, int $days): \DateTimeImmutable
    {
        return $this->moved($day, $this->rank($day) + $days);
    }

    /**
     * The day that lies so many working days before. A day that is not worked counts as the last one before it that is,
     * as numpy's busday_offset does with roll='backward'.
     */
    public function back(\DateTimeImmutable $day, int $days): \DateTimeImmutable
    {
        return $this->moved($day, $this->rank($day) - ($this->isWorked($day) ? 0 : 1) - $days);
    }

    /**
     * How many working days lie from the first day to the other: add() undone. The first counts as the next worked day,
     * the other as the last worked one before it; negative where the other lies before.
     */
    public function between(\DateTimeImmutable $from, \DateTimeImmutable $to): int
    {
        return $this->rank($to) - ($this->isWorked($to) ? 0 : 1) - $this->rank($from);
    }

    /** How many worked days lie before this one, less the same for 1970-01-01. */
    private function rank(\DateTimeImmutable $day): int
    {
        $number = $this->number(self::day($day));

        return $number - $this->closedBefore($number);
    }

    private function moved(\DateTimeImmutable $day, int $rank): \DateTimeImmutable
    {
        // Each closure up to the day puts it one further on, which may bring in more of them.
        $number = $rank;
        while ($number !== ($next = $rank + $this->closedBefore($number + 1))) {
            $number = $next;
        }
        $week = (int) floor($number / \count($this->weekdays));
        $at = $week * 7 + $this->weekdays[$number - $week * \count($this->weekdays)] - 4;

        return $day->modify(\sprintf('%+d days', $at - self::day($day)));
    }

    /** The number that a day of the week has, or the next worked one, closures not regarded; week 0 begins on Monday 1969-12-29. */
    private function number(int $day): int
    {
        $weekday = self::weekday($day);

        return intdiv($day + 4 - $weekday, 7) * \count($this->weekdays) + $this->before[$weekday];
    }

    private function isClosed(int $number): bool
    {
        return $this->closedBefore($number) < $this->closedBefore($number + 1);
    }

    /** How many closures have a lower number, by halving. */
    private function closedBefore(int $number): int
    {
        $low = 0;
        $high = \count($this->closed);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->closed[$middle] < $number) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /** Days since 1970-01-01, by the date that stands there whatever its zone. */
    private static function day(\DateTimeImmutable $date): int
    {
        return intdiv((new \DateTimeImmutable($date->format('Y-m-d'), new \DateTimeZone('UTC')))->getTimestamp(), self::DAY);
    }

    private static function weekday(int $day): int
    {
        return (($day + 3) % 7 + 7) % 7 + 1;
    }
}
