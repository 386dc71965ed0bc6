<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A due day that an item says itself. */
final readonly class Due
{
    /**
     * @param int $amount of the unit, before what it is counted from where negative
     * @param string $item whose completion it is counted from; its own key, or with that of another checklist before a stroke
     */
    public function __construct(public DueFrom $from, public int $amount, public DueUnit $unit = DueUnit::WorkingDays, public string $item = '')
    {
    }

    /** @return array{from: string, amount: int, unit: string, item: string} */
    public function toArray(): array
    {
        return ['from' => $this->from->value, 'amount' => $this->amount, 'unit' => $this->unit->value, 'item' => $this->item];
    }
}
