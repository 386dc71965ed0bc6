<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** An appointment that stands already. */
final readonly class Held
{
    /**
     * @param int $start, $end instants, the end not included
     * @param int $clearBefore, $clearAfter minutes
     * @param int $taken seats
     * @param int $roadTo, $roadFrom minutes that the road takes from there to what is looked for, and back; besides what is kept clear
     */
    public function __construct(
        public int $start,
        public int $end,
        public int $clearBefore,
        public int $clearAfter,
        public int $taken,
        public int $roadTo = 0,
        public int $roadFrom = 0,
    ) {
    }
}
