<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Text\Unanswerable;

/** Thrown for items that wait for one another in a circle; names each of one circle, in its order. */
final class WorkInCircle extends Unanswerable
{
    /** @param non-empty-list<string> $keys full keys, each waiting for the next and the last for the first */
    public function __construct(public readonly array $keys)
    {
        parent::__construct('These wait for one another in a circle: '.implode(' waits for ', [...$keys, $keys[0]]));
    }
}
