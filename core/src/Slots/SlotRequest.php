<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Everything that free times are found from. */
final readonly class SlotRequest
{
    /**
     * @param int $now instant
     * @param int $from, $to local days, both included
     * @param array<int, true> $closures local days on which nothing is offered
     * @param list<SlotPerson> $people
     */
    public function __construct(public \DateTimeZone $zone, public int $now, public int $from, public int $to, public SlotType $type, public array $closures, public array $people)
    {
    }
}
