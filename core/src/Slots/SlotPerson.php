<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** Somebody who may take an appointment: when they work, and what keeps them from it. */
final readonly class SlotPerson
{
    /**
     * @param array<int, list<array{int, int}>> $hours local seconds from and to, by ISO 8601 day of the week
     * @param array<int, list<array{int, int}>> $dates the same on single local days, in the place of the weekly hours
     * @param list<array{array{int, int}, array{int, int}}> $absent local day and seconds of it, from and to
     * @param list<array{int, int}> $busy instants
     * @param list<Held> $appointments
     */
    public function __construct(
        public string $id,
        public array $hours,
        public array $dates = [],
        public array $absent = [],
        public array $busy = [],
        public array $appointments = [],
    ) {
    }

    /** @return list<array{int, int}> local seconds from and to on a local day */
    public function on(int $day): array
    {
        // 1 January 1970 was a Thursday.
        return $this->dates[$day] ?? $this->hours[(($day + 3) % 7 + 7) % 7 + 1] ?? [];
    }
}
