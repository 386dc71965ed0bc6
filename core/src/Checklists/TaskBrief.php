<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** What a task keeps of the item that it came from. */
final readonly class TaskBrief
{
    /**
     * @param string $item full key of the item; empty where no checklist asked for it
     * @param int $version of the checklist
     * @param int $takes working days
     * @param int $effort minutes of work
     * @param array{from: string, amount: int, unit: string, item: string}|null $due as Due has it
     * @param list<string> $steps
     * @param list<string> $outside full keys of items of other checklists that it waits for
     */
    public function __construct(
        public string $item = '',
        public int $version = 0,
        public int $takes = 1,
        public int $effort = 0,
        public string $group = '',
        public string $words = '',
        public ?array $due = null,
        public ?string $doneBy = null,
        public string $approval = '',
        public bool $shown = false,
        public array $steps = [],
        public array $outside = [],
    ) {
    }

    public static function of(PlannedTask $task): self
    {
        return self::ofItem($task->key, $task->item, $task->checklist->version);
    }

    /** @param string $key full key */
    public static function ofItem(string $key, ChecklistItem $item, int $version): self
    {
        return new self(
            $key,
            $version,
            $item->takes,
            $item->effort,
            $item->group,
            $item->words,
            $item->due?->toArray(),
            $item->doneBy?->value,
            $item->approval,
            $item->shown,
            $item->steps,
            array_values(array_filter($item->waitsFor, static fn (string $key): bool => str_contains($key, '/'))),
        );
    }
}
