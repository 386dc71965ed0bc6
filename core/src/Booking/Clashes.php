<?php

declare(strict_types=1);

namespace Telamon\Core\Booking;

/** Finds appointments at which the same person cannot be in time: those that overlap, and those with too little road between them. */
final readonly class Clashes
{
    /** A road is never longer: what lies further apart is not looked at. */
    private const FARTHEST = 6 * 3600;

    public function __construct(private Roads $roads)
    {
    }

    /**
     * @param list<Placed> $placed
     *
     * @return list<array{first: string, second: string, who: string, road: int}> ids of the two in order of time, of whoever is at both, and the minutes that the road takes
     */
    public function of(array $placed): array
    {
        usort($placed, static fn (Placed $a, Placed $b): int => [$a->start, $a->id] <=> [$b->start, $b->id]);
        $clashes = [];
        foreach ($placed as $i => $first) {
            for ($j = $i + 1, $count = \count($placed); $j < $count; ++$j) {
                $second = $placed[$j];
                if ($second->start - $first->end > self::FARTHEST) {
                    break;
                }
                $shared = array_values(array_intersect($first->crew, $second->crew));
                if ([] === $shared || self::isOneSession($first, $second)) {
                    continue;
                }
                $road = $this->roads->between($first->where, $second->where);
                if ($first->end - $second->start + 60 * $road > 0) {
                    $clashes[] = ['first' => $first->id, 'second' => $second->id, 'who' => $shared[0], 'road' => $road];
                }
            }
        }

        return $clashes;
    }

    /**
     * @param list<array{int, int}> $open seconds since 1970, from and to, in which somebody works
     * @param list<array{int, int}> $taken the same, in which they are somewhere; may overlap
     *
     * @return int whole minutes of their open time that nothing takes
     */
    public static function freeMinutes(array $open, array $taken): int
    {
        sort($taken);
        $free = 0;
        foreach ($open as [$from, $to]) {
            foreach ($taken as [$begin, $end]) {
                if ($end <= $from || $begin >= $to) {
                    continue;
                }
                $free += max(0, $begin - $from);
                $from = max($from, $end);
            }
            $free += max(0, $to - $from);
        }

        return intdiv($free, 60);
    }

    private static function isOneSession(Placed $a, Placed $b): bool
    {
        return '' !== $a->group && $a->group === $b->group && $a->start === $b->start;
    }
}
