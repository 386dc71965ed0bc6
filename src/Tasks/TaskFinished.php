<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Record\DomainEvent;

/** A task is done. */
final class TaskFinished extends DomainEvent
{
    public function __construct(public readonly Task $task)
    {
    }
}
