<?php

declare(strict_types=1);

namespace Telamon\Core\Time;

/** Counts working days: certain days of the week, less closures. Days are ISO 8601 dates without time. */
final readonly class WorkingDays
{
    private const HORIZON = 3660;

    /** @var array<string, true> */
    private array $closed;

    /**
     * @param list<int> $weekdays ISO 8601 days of the week that are worked, Monday 1 to Sunday 7
     * @param list<string> $closures ISO 8601 days that are not worked
     */
    public function __construct(private array $weekdays, array $closures)
    {
        if ([] === $weekdays) {
            throw new \InvalidArgumentException('at least one day of the week is worked');
        }
        $this->closed = array_fill_keys($closures, true);
    }

    public function isWorked(\DateTimeImmutable $day): bool
    {
        return \in_array((int) $day->format('N'), $this->weekdays, true) && !isset($this->closed[$day->format('Y-m-d')]);
    }

    /**
     * The day that lies so many working days on (back, where negative). A day that is not worked counts
     * as the next one that is, as numpy's busday_offset does with roll='forward'.
     *
     * @throws \OverflowException when no worked day is found within ten years
     */
    public function add(\DateTimeImmutable $day, int $days): \DateTimeImmutable
    {
        $day = $this->walk($day, 1, 0);
        $step = $days < 0 ? -1 : 1;
        for ($left = abs($days); $left > 0; --$left) {
            $day = $this->walk($day, $step, 1);
        }

        return $day;
    }

    /**
     * The day that lies so many working days before. A day that is not worked counts as the last one before it that is,
     * as numpy's busday_offset does with roll='backward'.
     *
     * @throws \OverflowException when no worked day is found within ten years
     */
    public function back(\DateTimeImmutable $day, int $days): \DateTimeImmutable
    {
        $day = $this->walk($day, -1, 0);
        for ($left = $days; $left > 0; --$left) {
            $day = $this->walk($day, -1, 1);
        }

        return $day;
    }

    private function walk(\DateTimeImmutable $day, int $step, int $atLeast): \DateTimeImmutable
    {
        for ($i = 0; $i < self::HORIZON; ++$i) {
            if ($i >= $atLeast && $this->isWorked($day)) {
                return $day;
            }
            $day = $day->modify("$step day");
        }
        throw new \OverflowException('no worked day within ten years');
    }
}
