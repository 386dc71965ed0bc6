<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A task with its place, its day and what it waits for. */
final readonly class PlannedTask
{
    /**
     * @param int $number from 1, in order
     * @param string $key the checklist's, a stroke and the item's
     * @param list<int> $waitsFor numbers of the tasks that come first
     * @param int $earliestStart in working days from the start, as the next three
     * @param \DateTimeImmutable $begins the day of its earliest start
     * @param bool $onChain whether it is of the longest chain
     */
    public function __construct(
        public int $number,
        public string $key,
        public ChecklistItem $item,
        public Checklist $checklist,
        public \DateTimeImmutable $due,
        public array $waitsFor,
        public int $earliestStart,
        public int $earliestFinish,
        public int $latestStart,
        public int $float,
        public \DateTimeImmutable $begins,
        public bool $onChain,
    ) {
    }
}
