<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** All starts that a request allows before anybody is asked: days in order, on each the readings of the clock that are a multiple of the step. */
final class StartGrid
{
    private const MINUTE = 60 * LocalClock::SECOND;
    private const DAY_MINUTES = 1440;

    /** @var list<int> instants, rising */
    public readonly array $starts;

    /** @var array<int, array{int, int}> index of the first start and how many there are, by local day */
    public readonly array $days;

    /** @var array<int, true> days on which no clock changes: their starts are even */
    private readonly array $even;

    private readonly int $step;

    public function __construct(SlotRequest $request, private readonly LocalClock $clock)
    {
        $type = $request->type;
        $this->step = $type->step * self::MINUTE;
        $earliest = $request->now + $type->notice * self::MINUTE;
        $today = $clock->day($request->now);
        $last = null === $type->furthestDays ? $request->to : min($request->to, $today + $type->furthestDays);
        $starts = [];
        $days = [];
        $even = [];
        for ($day = max($request->from, $today); $day <= $last; ++$day) {
            $first = \count($starts);
            $minutes = isset($request->closures[$day]) ? [] : range(0, self::DAY_MINUTES - 1, $type->step);
            $midnight = $clock->midnight($day);
            if (null !== $midnight) {
                $even[$day] = true;
            }
            foreach ($minutes as $minute) {
                $start = null === $midnight ? $clock->showing($day, 60 * $minute) : $midnight + $minute * self::MINUTE;
                if (null !== $start && $start >= $earliest) {
                    $starts[] = $start;
                }
            }
            $days[$day] = [$first, \count($starts) - $first];
        }
        $this->starts = $starts;
        $this->days = $days;
        $this->even = $even;
    }

    /** @return int the index of the first start at an instant or after it; one past the last where there is none */
    public function firstFrom(int $instant): int
    {
        $day = $this->clock->day($instant);
        if (!isset($this->days[$day])) {
            return [] === $this->days || $day < array_key_first($this->days) ? 0 : \count($this->starts);
        }
        [$at, $count] = $this->days[$day];
        $end = $at + $count;
        if ($count > 0 && $instant > $this->starts[$at]) {
            // Where no clock changes starts are even, and the place can be reckoned; on the two other days it is walked to.
            if (isset($this->even[$day])) {
                return min($end, $at + intdiv($instant - $this->starts[$at] + $this->step - 1, $this->step));
            }
            while ($at < $end && $this->starts[$at] < $instant) {
                ++$at;
            }
        }

        return $at;
    }

    /** Whether all starts of a day are there, and even: then one such day is as any other. */
    public function isWhole(int $day): bool
    {
        return isset($this->even[$day]) && $this->days[$day][1] === intdiv(self::DAY_MINUTES * self::MINUTE + $this->step - 1, $this->step);
    }
}
