<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Finishes tasks, once each, and tells of it. */
final readonly class TaskFinishing
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private EventDispatcherInterface $events, private ClockInterface $clock)
    {
    }

    /**
     * @param int $version of the task that was looked at
     *
     * @throws Refusal when it is finished already
     */
    public function finish(Task $task, int $version, Staff $staff): void
    {
        $change = new Change(ChangeKind::FinishTask, mb_substr("finished task {$task->recordLabel()}", 0, 300), $staff, $this->clock->now(), null, 'task', $task->id, $task->recordLabel());
        $this->changes->carryOut($change, function () use ($task, $version): void {
            $this->em->refresh($task);
            if (null !== $task->finishedAt) {
                throw new FinishedAlready();
            }
            $this->em->lock($task, LockMode::OPTIMISTIC, $version);
            $this->within($task);
        });
    }

    /** As part of what else is done. Call it inside a change. */
    public function within(Task $task): void
    {
        $task->finish($this->clock->now());
        $this->events->dispatch(new TaskFinished($task));
    }
}
