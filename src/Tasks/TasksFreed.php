<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Record\DomainEvent;
use Telamon\Staff\Staff;

/** The last task that others waited for is done: those can begin. */
final class TasksFreed extends DomainEvent
{
    /** @param non-empty-list<Task> $tasks */
    public function __construct(public readonly Task $after, public readonly array $tasks, public readonly ?Staff $by)
    {
    }
}
