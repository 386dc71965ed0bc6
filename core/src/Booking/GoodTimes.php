<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/**
 * The next good times for a visit. A time is good, in this order: the client asked for that part of the day, it adds
 * little driving, whoever leads is free, and no small gap is left over; then the sooner. One for each stretch of
 * somebody's day, as its other starts are as good or worse.
 */
final readonly class GoodTimes
{
    /**
     * @param array{int, int}|null $asked minutes of the day that were asked for, from and to; null for any
     * @param int $driving minutes on the road that are little
     * @param string $lead id of whoever leads; empty for nobody
     * @param int $gap minutes under which what is left over is of no use
     * @param int $length minutes that it takes
     */
    public function __construct(private ?array $asked, private int $driving, private string $lead, private int $gap, private int $length)
    {
    }

    /**
     * @param list<FreeTime> $times
     *
     * @return list<array{time: FreeTime, why: string}> the best first
     */
    public function next(array $times, int $most): array
    {
        $best = [];
        foreach ($times as $time) {
            $stretch = implode(' ', $time->crew)." {$time->day} {$time->neighbours->before} {$time->neighbours->after}";
            if (!isset($best[$stretch]) || $this->rank($time) < $this->rank($best[$stretch])) {
                $best[$stretch] = $time;
            }
        }
        usort($best, fn (FreeTime $a, FreeTime $b): int => $this->rank($a) <=> $this->rank($b));

        return array_map(fn (FreeTime $time): array => ['time' => $time, 'why' => $this->why($time)], \array_slice($best, 0, $most));
    }

    /** @return list<int|string> the smaller, the better */
    private function rank(FreeTime $time): array
    {
        return [
            $this->isAsked($time) ? 0 : 1,
            $time->neighbours->added <= $this->driving ? 0 : 1,
            '' === $this->lead || \in_array($this->lead, $time->crew, true) ? 0 : 1,
            null === $this->left($time) ? 0 : 1,
            $time->day,
            $time->neighbours->added,
            $time->start,
            implode(' ', $time->crew),
        ];
    }

    private function isAsked(FreeTime $time): bool
    {
        return null === $this->asked || ($time->minute >= $this->asked[0] && $time->minute + $this->length <= $this->asked[1]);
    }

    /** @return int|null minutes of a gap that would be left over and is too small; null where none is */
    private function left(FreeTime $time): ?int
    {
        $gaps = [];
        if (null !== $time->neighbours->before) {
            $gaps[] = intdiv($time->start - $time->neighbours->before, 60);
        }
        if (null !== $time->neighbours->after) {
            $gaps[] = intdiv($time->neighbours->after - $time->start, 60) - $this->length;
        }
        $small = array_filter($gaps, fn (int $gap): bool => $gap > 0 && $gap < $this->gap);

        return [] === $small ? null : min($small);
    }

    /** Why it is good, and what speaks against it. */
    private function why(FreeTime $time): string
    {
        $near = $time->neighbours;
        $where = match (true) {
            '' !== $near->beforeName && '' !== $near->afterName => "Between {$near->beforeName} and {$near->afterName}",
            '' !== $near->beforeName => "After {$near->beforeName}".($near->nearest > 0 ? ", {$near->nearest} min away" : ''),
            '' !== $near->afterName => "Before {$near->afterName}".($near->nearest > 0 ? ", {$near->nearest} min away" : ''),
            default => 'Nothing else that day',
        };
        $left = $this->left($time);
        $also = array_values(array_filter([
            null === $this->asked ? '' : ($this->isAsked($time) ? 'as asked' : 'not the part of day that was asked for'),
            '' === $this->lead || \in_array($this->lead, $time->crew, true) ? '' : 'somebody else leads',
            $near->added > $this->driving ? 'much driving' : '',
            null === $left ? '' : "leaves $left min over",
        ], static fn (string $word): bool => '' !== $word));

        return $where.([] === $also ? '' : '. '.ucfirst(implode(', ', $also))).'.';
    }
}
