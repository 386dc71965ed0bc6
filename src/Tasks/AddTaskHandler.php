<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\AddTask;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/**
 * Adds a task to the project, numbered after those it has.
 *
 * @implements EffectHandler<AddTask>
 */
final readonly class AddTaskHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private TaskCounts $counts)
    {
    }

    public static function of(): string
    {
        return AddTask::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof AddTask);
        $project = $made->the(Project::class);
        $before = $made->find(TasksBefore::class) ?? $made->add(new TasksBefore($this->counts->last($project)));
        $there = '' === $effect->brief->item ? null : $this->em->getRepository(Task::class)->findOneBy(['project' => $project, 'item' => $effect->brief->item]);
        if (null !== $there) {
            // A checklist that is applied again adds only what is new.
            $before->places[$effect->position] = $there->position;

            return [];
        }
        if ('' !== $effect->brief->item && null !== $this->em->getRepository(RemovedItem::class)->findOneBy(['project' => $project, 'item' => $effect->brief->item])) {
            // Somebody has removed it here: it stays away, and nothing waits for it.
            $before->places[$effect->position] = 0;

            return [];
        }
        $before->places[$effect->position] = ++$before->number;
        $task = new Task(
            $project,
            $before->number,
            $effect->name,
            $this->em->find(Staff::class, $effect->assignee) ?? throw new \LogicException('the plan names staff who are not on file'),
            new \DateTimeImmutable($effect->due, new \DateTimeZone('UTC')),
            $this->waiting($project, $effect, $before),
            $effect->checklist,
        );
        $task->briefed($effect->brief, $effect->byHand);
        $this->em->persist($task);

        return [$task];
    }

    /** @return list<int> what it waits for in the plan, and of the tasks that the project had */
    private function waiting(Project $project, AddTask $effect, TasksBefore $before): array
    {
        $waits = array_map(static fn (int $task): int => $before->places[$task] ?? $task, $effect->waitsFor);
        foreach ($effect->brief->outside as $item) {
            $task = $this->em->getRepository(Task::class)->findOneBy(['project' => $project, 'item' => $item]);
            if (null !== $task && $task->position < $before->number) {
                $waits[] = $task->position;
            }
        }
        $waits = array_values(array_unique(array_filter($waits, static fn (int $number): bool => $number > 0)));
        sort($waits);

        return $waits;
    }
}
