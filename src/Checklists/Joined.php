<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Telamon\Tasks\Task;

/** What a checklist does to a project. */
final class Joined
{
    /** @var list<Task> */
    public array $added = [];

    /** @var list<Task> */
    public array $removed = [];

    /** @var list<array{task: Task, was: \DateTimeImmutable, due: \DateTimeImmutable}> */
    public array $moved = [];

    /** @var list<array{task: Task, was: int, number: int, waitsFor: list<int>}> those that stand elsewhere, or wait for something else */
    public array $turned = [];

    /** What cannot be done in time then; empty where all can. */
    public string $late = '';

    /** @return array{added: list<array{name: string, due: string, assignee: string}>, removed: list<string>, moved: list<array{name: string, was: string, due: string}>, turned: list<array{name: string, was: int, number: int, waitsFor: list<int>}>, late: string} as JoinedTasks in the contract */
    public function toArray(): array
    {
        return [
            'added' => array_map(static fn (Task $task): array => ['name' => $task->name, 'due' => $task->due->format('Y-m-d'), 'assignee' => $task->assignee->name], $this->added),
            'removed' => array_map(static fn (Task $task): string => $task->name, $this->removed),
            'moved' => array_map(
                static fn (array $one): array => ['name' => $one['task']->name, 'was' => $one['was']->format('Y-m-d'), 'due' => $one['due']->format('Y-m-d')],
                $this->moved,
            ),
            'turned' => array_map(
                static fn (array $one): array => ['name' => $one['task']->name, 'was' => $one['was'], 'number' => $one['number'], 'waitsFor' => $one['waitsFor']],
                $this->turned,
            ),
            'late' => $this->late,
        ];
    }
}
