<?php

declare(strict_types=1);

namespace Telamon\Bench;

/** Measures how long something takes, over and over. */
final class Clock
{
    /**
     * @param callable(int): mixed $work given the number of the run
     *
     * @return array{median: float, p95: float} milliseconds
     */
    public static function measure(callable $work, int $runs, int $warmUp = 5): array
    {
        for ($i = 0; $i < $warmUp; ++$i) {
            $work(-1 - $i);
        }
        $times = [];
        for ($i = 0; $i < $runs; ++$i) {
            $start = hrtime(true);
            $work($i);
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);

        return ['median' => $times[intdiv($runs, 2)], 'p95' => $times[(int) floor(0.95 * ($runs - 1))]];
    }
}
