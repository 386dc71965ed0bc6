<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Telamon\Record\DomainEvent;
use Telamon\Staff\Staff;

/** Somebody wrote a comment on a task, and named others in it. */
final class TaskSaid extends DomainEvent
{
    /** @param list<Staff> $to those who are named */
    public function __construct(public readonly TaskNote $note, public readonly array $to)
    {
    }
}
