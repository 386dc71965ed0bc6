<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Spans of instants, each with its beginning and without its end. */
final class Spans
{
    /**
     * @param array<int, array{int, int}> $spans
     * @param bool $touching whether those that only touch become one too: open time does, blocked starts do not, as what lies between them is free
     *
     * @return list<array{int, int}> in order, those that overlap as one; empty ones fall away
     */
    public static function joined(array $spans, bool $touching): array
    {
        $spans = array_filter($spans, static fn (array $span): bool => $span[0] < $span[1]);
        sort($spans);
        $joined = [];
        foreach ($spans as [$from, $to]) {
            $last = \count($joined) - 1;
            if ($last >= 0 && ($from < $joined[$last][1] || ($touching && $from === $joined[$last][1]))) {
                $joined[$last][1] = max($joined[$last][1], $to);
            } else {
                $joined[] = [$from, $to];
            }
        }

        return $joined;
    }

    /**
     * @param list<array{int, int}> $spans in order
     * @param list<array{int, int}> $away
     *
     * @return list<array{int, int}> what is left of them
     */
    public static function without(array $spans, array $away): array
    {
        foreach ($away as [$from, $to]) {
            $left = [];
            foreach ($spans as [$begin, $end]) {
                if ($from >= $to || $to <= $begin || $from >= $end) {
                    $left[] = [$begin, $end];
                    continue;
                }
                if ($begin < $from) {
                    $left[] = [$begin, $from];
                }
                if ($to < $end) {
                    $left[] = [$to, $end];
                }
            }
            $spans = $left;
        }

        return $spans;
    }
}
