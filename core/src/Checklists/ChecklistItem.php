<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** One task that a checklist asks for. */
final readonly class ChecklistItem
{
    /**
     * @param int $position where it stands among all items of merged checklists
     * @param list<string> $after keys of the items that come first
     * @param int $days working days from the day named by $from; negative is before it
     */
    public function __construct(
        public string $key,
        public string $name,
        public int $position,
        public Doer $doer,
        public int $days,
        public DueFrom $from = DueFrom::Accepted,
        public array $after = [],
    ) {
    }
}
