<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\NamesSomebody;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;

/** Gives somebody a task. */
final readonly class GiveTask implements NamesSomebody
{
    use Plain;

    /** @param list<string> $among ids of those to choose among */
    private function __construct(public string $task, public string $doer, public int $days, public array $among, public string $why = '')
    {
    }

    public static function name(): string
    {
        return 'task';
    }

    public static function phrase(): string
    {
        return 'add the task';
    }

    public static function fields(): array
    {
        return [
            RuleField::wide('name', 'Task'),
            RuleField::who('doer', 'Doer', ['lead' => 'whoever leads', 'coordinator' => 'the coordinator'])->in('for …'),
            RuleField::number('days', 'Working days')->in('in … working days'),
        ];
    }

    public static function read(ActionText $given): self
    {
        $task = $given->needed('name');
        $given->needed('doer');
        $days = $given->needed('days');
        if (1 !== preg_match('/^\d{1,3}$/', $days)) {
            throw $given->wrong('days', 'Write working days, from 0 to 999.');
        }
        [$doer, $among] = $given->somebody('doer');

        return new self($task, $doer, (int) $days, $among);
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->doer, ['lead', 'coordinator'], true) || isset($book->staff[$this->doer]) ? null : 'a person who is here no more';
    }

    public function words(): string
    {
        return "the task “{$this->task}”";
    }

    public function needsProject(): bool
    {
        return true;
    }

    public function texts(): array
    {
        return [$this->task];
    }

    public function named(): string
    {
        return $this->doer;
    }

    public function among(): array
    {
        return $this->among;
    }

    public function choosing(string $staff, string $why): static
    {
        return new self($this->task, $staff, $this->days, $this->among, $why);
    }

    public function why(): string
    {
        return $this->why;
    }
}
