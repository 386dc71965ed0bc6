<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance with a fixed seed: every demo is alive, and the same. */
final class DemoDice
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function between(int $from, int $to): int
    {
        return $this->random->getInt($from, $to);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $from
     *
     * @return T
     */
    public function pick(array $from): mixed
    {
        return $from[$this->random->getInt(0, \count($from) - 1)];
    }

    /** True in so many of a hundred cases. */
    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }
}
