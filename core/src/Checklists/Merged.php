<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Checklists merged and dated. */
final readonly class Merged
{
    /**
     * @param list<PlannedTask> $tasks in their order
     * @param int $length working days that the longest chain takes
     * @param int $shortBy working days by which the ready-by day cannot be met
     * @param int|null $room working days from the start to the ready-by day; null without one
     * @param \DateTimeImmutable $done the day on which the longest chain ends
     * @param list<array{key: string, item: ChecklistItem, checklist: Checklist}> $leftOut by their conditions
     */
    public function __construct(public array $tasks, public int $length, public int $shortBy, public ?int $room, public \DateTimeImmutable $done, public array $leftOut = [])
    {
    }

    /** @return list<string> names of the tasks of the longest chain, in its order */
    public function chain(): array
    {
        return array_values(array_map(
            static fn (PlannedTask $task): string => $task->item->name,
            array_filter($this->tasks, static fn (PlannedTask $task): bool => $task->onChain),
        ));
    }

    /**
     * Own due days that lie after that of something that waits for it: nobody can keep both.
     *
     * @return list<array{key: string, words: string}> full key of the item whose day it is, and what would mend it
     */
    public function clashes(): array
    {
        $clashes = [];
        foreach ($this->tasks as $task) {
            foreach ($task->waitsFor as $number) {
                $before = $this->tasks[$number - 1];
                if (null !== $before->item->due && $before->due->format('Y-m-d') > $task->due->format('Y-m-d')) {
                    $clashes[] = [
                        'key' => $before->key,
                        'words' => "“{$before->item->name}” is due on {$before->due->format('j F Y')}, after “{$task->item->name}”, which waits for it and is due on {$task->due->format('j F Y')}. Give it an earlier day or none of its own, or the other a later one.",
                    ];
                }
            }
        }

        return $clashes;
    }

    /** What stands beside a plan that cannot be done in time; empty where it can. */
    public function verdict(): string
    {
        $days = 1 === $this->shortBy ? '1 working day' : "{$this->shortBy} working days";

        return 0 === $this->shortBy ? '' : "$days short; the longest chain is: ".implode(', ', $this->chain());
    }
}
