<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Core\Checklists\ChecklistItem;

/** The tasks of a project, ordered and dated anew. */
final readonly class Replanned
{
    /**
     * @param list<array{key: string, task: Task|null, item: ChecklistItem|null, waitsFor: list<int>, due: \DateTimeImmutable, earliest: string|null}> $tasks in their order; without a task where it joins
     * @param list<Task> $gone open ones that a version no longer asks for
     * @param \DateTimeImmutable|null $ends the day on which the last open one is done; null where none is open
     * @param int $shortBy working days by which the ready-by day cannot be met
     */
    public function __construct(public array $tasks, public array $gone, public ?\DateTimeImmutable $ends, public int $shortBy)
    {
    }

    /** @return list<array{task: Task, due: \DateTimeImmutable}> those that get another day */
    public function moved(): array
    {
        $moved = [];
        foreach ($this->tasks as ['task' => $task, 'due' => $due]) {
            if (null !== $task && $due->format('Y-m-d') !== $task->due->format('Y-m-d')) {
                $moved[] = ['task' => $task, 'due' => $due];
            }
        }

        return $moved;
    }

    /** @return list<array{task: Task, earliest: string}> those that stay on the day that somebody set, though they cannot be done by it */
    public function held(): array
    {
        $held = [];
        foreach ($this->tasks as ['task' => $task, 'earliest' => $earliest]) {
            if (null !== $task && null !== $earliest && $task->handDated && $task->due->format('Y-m-d') < $earliest) {
                $held[] = ['task' => $task, 'earliest' => $earliest];
            }
        }

        return $held;
    }

    /** @return array<int, true> numbers, as they stand now, of all that waits for a task, however far down */
    public static function behind(Task $task, Task ...$all): array
    {
        $behind = [$task->position => true];
        // What waits stands behind what it waits for.
        usort($all, static fn (Task $a, Task $b): int => $a->position <=> $b->position);
        foreach ($all as $one) {
            if ([] !== array_intersect_key(array_flip($one->waitsFor), $behind)) {
                $behind[$one->position] = true;
            }
        }
        unset($behind[$task->position]);

        return $behind;
    }
}
