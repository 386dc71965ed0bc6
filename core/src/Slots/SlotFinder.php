<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/**
 * Finds the times that are truly free, and who could take each. All arithmetic is in instants; spans include their
 * beginning and not their end. A start is free for somebody where the whole appointment lies in their open time, where
 * both neighbours have what each keeps clear, and where notice, distance and limit are kept.
 *
 * Who is free at a start is one integer, a bit for each person, so that the cost grows with what stands in the
 * calendars and not with people times starts.
 */
final class SlotFinder
{
    private const MINUTE = 60 * LocalClock::SECOND;
    /** People whose bits fit into one integer. */
    private const AT_ONCE = 62;

    /** @return list<array{start: string, staff: list<string>}> in order of time; ids in the order of their bytes */
    public function find(SlotRequest $request): array
    {
        $clock = self::clock($request);
        $grid = new StartGrid($request, $clock);
        $people = $request->people;
        usort($people, static fn (SlotPerson $a, SlotPerson $b): int => strcmp($a->id, $b->id));
        $found = [];
        foreach (array_chunk($people, self::AT_ONCE) as $some) {
            $ids = array_map(static fn (SlotPerson $person): string => $person->id, $some);
            /** @var array<int, list<string>> $named */
            $named = [];
            foreach ($this->free($request, $clock, $grid, $some) as $i => $bits) {
                if (0 !== $bits) {
                    $who = $named[$bits] ??= self::named($bits, $ids);
                    $found[$i] = isset($found[$i]) ? [...$found[$i], ...$who] : $who;
                }
            }
        }
        ksort($found);
        $slots = [];
        foreach ($found as $i => $staff) {
            $slots[] = ['start' => $clock->format($grid->starts[$i]), 'staff' => $staff];
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

    /**
     * @param list<SlotPerson> $people at most as many as an integer has bits
     *
     * @return array<int, int> who is free, by the index of the start: the bit of each by their place in the list
     */
    private function free(SlotRequest $request, LocalClock $clock, StartGrid $grid, array $people): array
    {
        $length = $request->type->length * self::MINUTE;
        $count = \count($grid->starts);
        $open = array_fill(0, $count + 1, 0);
        (new OpenTime($grid, $clock, $length))->toggle($open, $people);
        $shut = array_fill(0, $count + 1, 0);
        $away = [];
        foreach ($people as $place => $person) {
            $away[$place] = Spans::joined([...self::aroundAbsences($person, $clock, $length), ...self::aroundBusy($person, $request->type, $length)], false);
            foreach ($away[$place] as [$from, $to]) {
                $shut[$grid->firstFrom($from + 1)] ^= 1 << $place;
                $shut[$grid->firstFrom($to)] ^= 1 << $place;
            }
        }
        $free = [];
        for ($i = $opened = $closed = 0; $i < $count; ++$i) {
            $opened ^= $open[$i];
            $closed ^= $shut[$i];
            $free[] = $opened & ~$closed;
        }
        foreach ($people as $place => $person) {
            if ([] !== $person->appointments) {
                $this->takeOut($free, 1 << $place, new Standing($person, $request->type, $clock), $grid, $away[$place]);
            }
        }

        return $free;
    }

    /**
     * Takes out of the free times of somebody those at which an appointment stands in the way, and those of days that are full.
     *
     * @param array<int, int> $free who is free, by the index of the start
     * @param int $bit of the person
     * @param list<array{int, int}> $away spans whose inside holds no start, but for appointments
     */
    private function takeOut(array &$free, int $bit, Standing $standing, StartGrid $grid, array $away): void
    {
        $starts = $grid->starts;
        $count = \count($starts);
        $kept = [];
        foreach ($standing->withSeatsLeft() as $start) {
            $i = $grid->firstFrom($start);
            // Open, and nothing else in the way: free but for those who have the same time.
            if ($i < $count && $starts[$i] === $start && 0 !== ($free[$i] & $bit)) {
                $kept[] = $i;
            }
        }
        foreach ($standing->spans as [$from, $to]) {
            for ($i = $grid->firstFrom($from + 1); $i < $count && $starts[$i] < $to; ++$i) {
                $free[$i] &= ~$bit;
            }
        }
        foreach ($standing->fullDays() as $day) {
            [$first, $many] = $grid->days[$day] ?? [0, 0];
            for ($i = $first; $i < $first + $many; ++$i) {
                $free[$i] &= ~$bit;
            }
        }
        foreach ($kept as $i) {
            $free[$i] |= $bit;
        }
    }

    /**
     * @param list<string> $ids in order
     *
     * @return list<string>
     */
    private static function named(int $bits, array $ids): array
    {
        $named = [];
        foreach ($ids as $place => $id) {
            if (0 !== ($bits & (1 << $place))) {
                $named[] = $id;
            }
        }

        return $named;
    }

    /** @return list<array{int, int}> spans whose inside holds no start: neither the beginning nor the end is blocked */
    private static function aroundBusy(SlotPerson $person, SlotType $type, int $length): array
    {
        return array_map(static fn (array $span): array => [$span[0] - $type->clearAfter * self::MINUTE - $length, $span[1] + $type->clearBefore * self::MINUTE], $person->busy);
    }

    /** @return list<array{int, int}> as above; an absence that ends before it begins is none */
    private static function aroundAbsences(SlotPerson $person, LocalClock $clock, int $length): array
    {
        $spans = [];
        foreach ($person->absent as [$first, $last]) {
            [$from, $to] = [$clock->from(...$first), $clock->from(...$last)];
            if ($from < $to) {
                $spans[] = [$from - $length, $to];
            }
        }

        return $spans;
    }
}
