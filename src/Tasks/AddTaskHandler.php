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
        $before = ($made->find(TasksBefore::class) ?? $made->add(new TasksBefore($this->counts->last($project))))->number;
        $task = new Task(
            $project,
            $before + $effect->position,
            $effect->name,
            $this->em->find(Staff::class, $effect->assignee) ?? throw new \LogicException('the plan names staff who are not on file'),
            new \DateTimeImmutable($effect->due, new \DateTimeZone('UTC')),
            array_map(static fn (int $task): int => $before + $task, $effect->waitsFor),
            $effect->checklist,
        );
        $this->em->persist($task);

        return [$task];
    }
}
