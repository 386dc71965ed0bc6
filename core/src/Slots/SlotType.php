<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** What is to be held: how long, with how much kept clear, how soon and how often. */
final readonly class SlotType
{
    /**
     * @param int $length, $clearBefore, $clearAfter, $notice minutes that really pass
     * @param int $step minutes of the local clock: a start reads a multiple of it
     * @param int|null $furthestDays local days after today at most; null for no limit
     * @param int|null $dayLimit how many appointments of a person may start on a local day; null for no limit
     * @param int $seats how many one time takes
     */
    public function __construct(
        public int $length,
        public int $clearBefore,
        public int $clearAfter,
        public int $step,
        public int $notice,
        public ?int $furthestDays,
        public ?int $dayLimit,
        public int $seats,
    ) {
    }
}
