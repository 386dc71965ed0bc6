<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Projects\ReadyByMoved;

/** Open tasks of checklists move with the day of readiness; those that somebody put on another day stay there. */
#[AsEventListener]
final readonly class TasksFollowReadyBy
{
    public function __construct(private TaskDates $dates)
    {
    }

    public function __invoke(ReadyByMoved $event): void
    {
        foreach ($this->dates->moved($event->project, $event->project->readyBy) as ['task' => $task, 'due' => $due]) {
            $task->fallDue($due);
            $event->touch($task);
        }
    }
}
