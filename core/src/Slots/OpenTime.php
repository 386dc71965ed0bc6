<?php

declare(strict_types=1);

namespace Telamon\Core\Slots;

/** The starts at which a whole appointment lies in the hours of people. */
final readonly class OpenTime
{
    /** @param int $length of the appointment, in microseconds */
    public function __construct(private StartGrid $grid, private LocalClock $clock, private int $length)
    {
    }

    /**
     * @param array<int, int> $toggles bits of whoever begins or ceases to be open there, by the index of the start; written into
     * @param list<SlotPerson> $people
     */
    public function toggle(array &$toggles, array $people): void
    {
        $weekly = [];
        foreach ($this->grid->days as $day => [$first, $count]) {
            if (0 === $count) {
                continue;
            }
            // One whole day is as any other of its weekday, unless somebody has other hours on it.
            if ($this->isUsual($day, $people)) {
                foreach ($weekly[$day % 7] ??= $this->ofDay($day, $people) as $at => $bits) {
                    $toggles[$first + $at] ^= $bits;
                }
            } else {
                foreach ($this->ofDay($day, $people) as $at => $bits) {
                    $toggles[$first + $at] ^= $bits;
                }
            }
        }
    }

    /** @param list<SlotPerson> $people */
    private function isUsual(int $day, array $people): bool
    {
        foreach ($people as $person) {
            if (isset($person->dates[$day])) {
                return false;
            }
        }

        return $this->grid->isWhole($day);
    }

    /**
     * @param list<SlotPerson> $people
     *
     * @return array<int, int> bits by the place of the start on its day
     */
    private function ofDay(int $day, array $people): array
    {
        [$first, $count] = $this->grid->days[$day];
        $toggles = [];
        foreach ($people as $place => $person) {
            foreach ($this->clock->open($person, $day) as [$from, $to]) {
                // Hours may end when the next day begins: no start of this day lies beyond.
                $begins = min($first + $count, $this->grid->firstFrom($from)) - $first;
                $ends = min($first + $count, $this->grid->firstFrom($to - $this->length + 1)) - $first;
                if (0 <= $begins && $begins < $ends) {
                    $toggles[$begins] = ($toggles[$begins] ?? 0) ^ (1 << $place);
                    $toggles[$ends] = ($toggles[$ends] ?? 0) ^ (1 << $place);
                }
            }
        }

        return $toggles;
    }
}
