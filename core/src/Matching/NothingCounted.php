<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** Says nothing about how common anything is: the weights' own shares count. */
final class NothingCounted implements Commonness
{
    public function clients(): int
    {
        return 0;
    }

    public function given(string $name): int
    {
        return 0;
    }

    public function family(string $name): int
    {
        return 0;
    }

    public function sharedBy(string $point): int
    {
        return 1;
    }
}
