<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** A task with its place, its day and what it waits for. */
final readonly class PlannedTask
{
    /**
     * @param int $number from 1, in order
     * @param list<int> $waitsFor numbers of the tasks that come first
     * @param bool $isLate whether it belongs before the day of readiness and cannot be done by it
     */
    public function __construct(
        public int $number,
        public ChecklistItem $item,
        public string $checklist,
        public \DateTimeImmutable $due,
        public array $waitsFor,
        public bool $isLate = false,
    ) {
    }
}
