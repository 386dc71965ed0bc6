<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A due day that an item says itself: so many working days after the day it is counted from, before it where negative. */
final readonly class OwnDue
{
    public function __construct(public bool $fromReadyBy, public int $days)
    {
    }
}
