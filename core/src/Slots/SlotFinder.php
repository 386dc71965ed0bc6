<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/**
 * Finds the times that are truly free, and who could take each. All arithmetic is in instants; spans include their
 * beginning and not their end. A start is free for somebody where the whole appointment lies in their open time, where
 * both neighbours have what each keeps clear, and where notice, distance and limit are kept.
 */
final class SlotFinder
{
    private const MINUTE = 60 * LocalClock::SECOND;
    private const DAY_MINUTES = 1440;

    /** @return list<array{start: string, staff: list<string>}> in order of time; ids in the order of their bytes */
    public function find(SlotRequest $request): array
    {
        $clock = self::clock($request);
        $starts = self::starts($request, $clock);
        $takers = [];
        foreach ($request->people as $person) {
            foreach ($this->free($request, $clock, $person, $starts) as $start) {
                $takers[$start][] = $person->id;
            }
        }
        ksort($takers);
        $slots = [];
        foreach ($takers as $start => $ids) {
            sort($ids, \SORT_STRING);
            $slots[] = ['start' => $clock->format($start), 'staff' => $ids];
        }

        return $slots;
    }

    /** A clock that knows the days of a request and those of its absences. */
    public static function clock(SlotRequest $request): LocalClock
    {
        $days = [$request->from, $request->to];
        foreach ($request->people as $person) {
            foreach ($person->absent as [[$first], [$last]]) {
                array_push($days, $first, $last);
            }
        }

        return new LocalClock($request->zone, min($days), max($days));
    }

    /** @return array<int, list<int>> instants by local day at which the clock shows a multiple of the step, soon and late enough */
    private static function starts(SlotRequest $request, LocalClock $clock): array
    {
        $type = $request->type;
        $earliest = $request->now + $type->notice * self::MINUTE;
        $today = $clock->day($request->now);
        $last = null === $type->furthestDays ? $request->to : min($request->to, $today + $type->furthestDays);
        $starts = [];
        for ($day = max($request->from, $today); $day <= $last; ++$day) {
            for ($minute = 0; !isset($request->closures[$day]) && $minute < self::DAY_MINUTES; $minute += $type->step) {
                $start = $clock->showing($day, 60 * $minute);
                if (null !== $start && $start >= $earliest) {
                    $starts[$day][] = $start;
                }
            }
        }

        return $starts;
    }

    /**
     * @param array<int, list<int>> $starts by local day
     *
     * @return iterable<int> those at which somebody is free
     */
    private function free(SlotRequest $request, LocalClock $clock, SlotPerson $person, array $starts): iterable
    {
        $type = $request->type;
        $length = $type->length * self::MINUTE;
        $blocked = Spans::joined([...self::aroundBusy($person, $type, $length), ...self::aroundHeld($person->appointments, $type, $length)], false);
        [$seated, $begun] = self::standing($person, $clock, $length);
        $absent = array_map(static fn (array $span): array => [$clock->from(...$span[0]), $clock->from(...$span[1])], $person->absent);
        $at = 0;
        foreach ($starts as $day => $candidates) {
            $isFull = null !== $type->dayLimit && ($begun[$day] ?? 0) >= $type->dayLimit;
            if ($isFull && [] === $seated) {
                continue;
            }
            $open = Spans::without($clock->open($person, $day), $absent);
            $i = 0;
            $count = \count($candidates);
            foreach ($open as [$from, $to]) {
                for ($latest = $to - $length; $i < $count && $candidates[$i] <= $latest; ++$i) {
                    $start = $candidates[$i];
                    if ($start < $from) {
                        continue;
                    }
                    // Starts rise, and so do the spans: neither is looked at twice.
                    while (isset($blocked[$at]) && $blocked[$at][1] <= $start) {
                        ++$at;
                    }
                    $isBlocked = isset($blocked[$at]) && $blocked[$at][0] < $start;
                    if (!$isBlocked && !$isFull) {
                        yield $start;
                    } elseif ($isBlocked && isset($seated[$start]) && $this->takesMore($request, $person, $start, $length, $seated[$start], $begun[$day] ?? 0)) {
                        yield $start;
                    }
                }
            }
        }
    }

    /**
     * A time that others have too, with seats left: free but for those.
     *
     * @param array{taken: int, count: int} $seated of that time
     * @param int $begun appointments that start on that day, those included
     */
    private function takesMore(SlotRequest $request, SlotPerson $person, int $start, int $length, array $seated, int $begun): bool
    {
        $type = $request->type;
        if ($seated['taken'] >= $type->seats || (null !== $type->dayLimit && $begun - $seated['count'] >= $type->dayLimit)) {
            return false;
        }
        $others = array_values(array_filter($person->appointments, static fn (Held $held): bool => $held->start !== $start || $held->end !== $start + $length));
        foreach ([...self::aroundBusy($person, $type, $length), ...self::aroundHeld($others, $type, $length)] as [$from, $to]) {
            if ($from < $start && $start < $to) {
                return false;
            }
        }

        return true;
    }

    /**
     * @return list<array{int, int}> spans whose inside holds no start: neither the beginning nor the end is blocked
     */
    private static function aroundBusy(SlotPerson $person, SlotType $type, int $length): array
    {
        return array_map(static fn (array $span): array => [$span[0] - $type->clearAfter * self::MINUTE - $length, $span[1] + $type->clearBefore * self::MINUTE], $person->busy);
    }

    /**
     * The gap is at least the larger of what the earlier keeps after and the later keeps before.
     *
     * @param list<Held> $appointments
     *
     * @return list<array{int, int}> as above
     */
    private static function aroundHeld(array $appointments, SlotType $type, int $length): array
    {
        return array_map(static fn (Held $held): array => [
            $held->start - (max($type->clearAfter, $held->clearBefore) + $held->roadFrom) * self::MINUTE - $length,
            $held->end + (max($held->clearAfter, $type->clearBefore) + $held->roadTo) * self::MINUTE,
        ], $appointments);
    }

    /** @return array{array<int, array{taken: int, count: int}>, array<int, int>} appointments exactly as long, by their start; how many start, by local day */
    private static function standing(SlotPerson $person, LocalClock $clock, int $length): array
    {
        $seated = [];
        $begun = [];
        foreach ($person->appointments as $held) {
            $day = $clock->day($held->start);
            $begun[$day] = ($begun[$day] ?? 0) + 1;
            if ($held->end - $held->start === $length) {
                $seated[$held->start] = ['taken' => ($seated[$held->start]['taken'] ?? 0) + $held->taken, 'count' => ($seated[$held->start]['count'] ?? 0) + 1];
            }
        }

        return [$seated, $begun];
    }
}
