<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Finishes tasks, once each, and tells of it. */
final readonly class TaskFinishing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private EventDispatcherInterface $events,
        private TaskDates $dates,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param int $version of the task that was looked at
     *
     * @throws Refusal when it is finished already
     */
    public function finish(Task $task, int $version, Staff $staff): void
    {
        $act = Act::of(ChangeKind::FinishTask, "finished task {$task->recordLabel()}", $staff)->about($task)->looking($task);
        $this->changes->carryOut($act, function () use ($task, $version, $staff): void {
            if (null !== $task->finishedAt) {
                throw new FinishedAlready();
            }
            $this->em->lock($task, LockMode::OPTIMISTIC, $version);
            $this->refuseWithoutApproval($task, $staff);
            $this->within($task, $staff);
        });
    }

    /**
     * Several at once: those that are finished already stay as they are.
     *
     * @param non-empty-list<Task> $tasks
     *
     * @throws Refusal where one needs an approval: then none is finished
     */
    public function several(array $tasks, Staff $staff): void
    {
        $words = 1 === \count($tasks) ? "finished task {$tasks[0]->recordLabel()}" : 'finished '.\count($tasks).' tasks';
        $this->changes->carryOut(Act::of(ChangeKind::FinishTask, $words, $staff)->about($tasks[0]), function () use ($tasks, $staff): void {
            foreach ($tasks as $task) {
                $this->em->refresh($task);
                if (null === $task->finishedAt) {
                    $this->refuseWithoutApproval($task, $staff);
                    $this->within($task, $staff);
                }
            }
        });
    }

    /** As part of what else is done. Call it inside a change. */
    public function within(Task $task, ?Staff $by = null): void
    {
        $task->finish($this->clock->now());
        $this->events->dispatch(new TaskFinished($task));
        $freed = $this->freed($task);
        if ([] !== $freed) {
            $this->events->dispatch(new TasksFreed($task, $freed, $by));
        }
        // What is counted from its completion has its day now.
        $this->em->flush();
        foreach ('' === $task->item ? [] : $this->dates->moved($task->project, $task->project->readyBy) as ['task' => $other, 'due' => $due]) {
            if ($other->isDueAfter('item')) {
                $other->fallDue($due);
            }
        }
        // Done late, what waits for it is due later too.
        foreach ($this->dates->behind($task, true)['moved'] as ['task' => $other, 'due' => $due]) {
            $other->fallDue($due);
        }
    }

    private function refuseWithoutApproval(Task $task, Staff $staff): void
    {
        $role = Role::tryFrom($task->told('approval'));
        if (null !== $role && $role !== $staff->role && Role::Owner !== $staff->role) {
            throw new NeedsApproval($role);
        }
    }

    /** @return list<Task> open ones that waited for it, and for nothing else that is open */
    private function freed(Task $done): array
    {
        $all = $this->em->getRepository(Task::class)->findBy(['project' => $done->project], ['position' => 'ASC']);
        $open = [];
        foreach ($all as $task) {
            null !== $task->finishedAt ?: $open[] = $task->position;
        }

        return array_values(array_filter(
            $all,
            static fn (Task $task): bool => null === $task->finishedAt && \in_array($done->position, $task->waitsFor, true) && [] === array_intersect($task->waitsFor, $open),
        ));
    }
}
