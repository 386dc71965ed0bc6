<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** Adds a task to a project, numbered after those it has. */
final readonly class TaskWriter implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private TaskCounts $counts)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::AddTask];
    }

    public function write(Effect $effect, Making $made): array
    {
        $project = $made->the(Project::class);
        $before = ($made->find(TasksBefore::class) ?? $made->add(new TasksBefore($this->counts->last($project))))->number;
        $task = new Task(
            $project,
            $before + $effect->number('position'),
            $effect->text('name'),
            $this->em->find(Staff::class, $effect->text('assignee')) ?? throw new \LogicException('the plan names staff who are not on file'),
            new \DateTimeImmutable($effect->text('due'), new \DateTimeZone('UTC')),
            array_map(static fn (int $task): int => $before + $task, $effect->numbers('waits_for')),
            $effect->text('checklist'),
        );
        $this->em->persist($task);

        return [$task];
    }
}
