<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Checklists\TaskBrief;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Adds a task to the project. */
final readonly class AddTask implements Changeable
{
    /**
     * @param int $position its number among the tasks of the plan
     * @param string $assignee id of staff
     * @param string $due ISO 8601
     * @param list<int> $waitsFor numbers of tasks of the plan that come before
     * @param string $checklist where it came from
     * @param TaskBrief $brief what else the item says
     * @param bool $byHand whether a person set its day
     */
    public function __construct(
        public int $position,
        public string $name,
        public string $assignee,
        public string $due,
        public array $waitsFor = [],
        public string $checklist = '',
        public TaskBrief $brief = new TaskBrief(),
        public bool $byHand = false,
    ) {
    }

    public static function name(): string
    {
        return 'task.add';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [
            $from->part('name', $this->name),
            Part::words(', '),
            $from->part('assignee', $telling->firstName($this->assignee)),
            Part::words(', '),
            $from->part('due', $telling->day($this->due)),
        ];
    }

    public function fields(): array
    {
        return [
            new LineField('name', 'Task', 'text', $this->name, 'name'),
            new LineField('assignee', 'Who', 'staff', $this->assignee, 'staff'),
            new LineField('due', 'By', 'day', $this->due, 'day'),
        ];
    }

    public function with(array $values): static
    {
        $due = $values['due'] ?? $this->due;

        return new self(
            $this->position,
            $values['name'] ?? $this->name,
            $values['assignee'] ?? $this->assignee,
            $due,
            $this->waitsFor,
            $this->checklist,
            $this->brief,
            $this->byHand || $due !== $this->due,
        );
    }

    /** @param list<int> $tasks numbers of those that still come before */
    public function waitingFor(array $tasks): self
    {
        return new self($this->position, $this->name, $this->assignee, $this->due, $tasks, $this->checklist, $this->brief, $this->byHand);
    }
}
