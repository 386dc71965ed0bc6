<?php

declare(strict_types=1);

namespace Telamon\Bench;

/** Measures how long something takes, over and over. */
final class Clock
{
    /**
     * Runs each of several things in turn, round after round, so that a slow moment of the machine falls on all.
     *
     * @param array<string, callable(int): mixed> $works given the number of the round, negative while warming up
     *
     * @return array<string, array{median: float, p95: float}> milliseconds
     */
    public static function race(array $works, int $rounds, int $warmUp = 10): array
    {
        $times = [];
        for ($round = -$warmUp; $round < $rounds; ++$round) {
            foreach ($works as $name => $work) {
                $start = hrtime(true);
                $work($round);
                if ($round >= 0) {
                    $times[$name][] = (hrtime(true) - $start) / 1e6;
                }
            }
        }

        return array_map(self::summary(...), $times);
    }

    /**
     * @param non-empty-list<float> $times
     *
     * @return array{median: float, p95: float}
     */
    private static function summary(array $times): array
    {
        sort($times);

        return ['median' => $times[intdiv(\count($times), 2)], 'p95' => $times[(int) floor(0.95 * (\count($times) - 1))]];
    }
}
