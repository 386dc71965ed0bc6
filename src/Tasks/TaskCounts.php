<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Progress;
use Telamon\Projects\Project;

/** Counts the tasks of projects and of people. */
final readonly class TaskCounts implements Progress
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function of(array $projects): array
    {
        /** @var list<array{id: string, everything: int|string, done: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(t.project) AS id', 'COUNT(t.id) AS everything', 'COUNT(t.finishedAt) AS done')
            ->from(Task::class, 't')->where('t.project IN (:projects)')->setParameter('projects', $projects)
            ->groupBy('t.project')->getQuery()->getResult();
        $counts = [];
        foreach ($rows as $row) {
            $counts[$row['id']] = ['all' => (int) $row['everything'], 'done' => (int) $row['done']];
        }

        return $counts;
    }

    /** The number of the project's last task; 0 where it has none. */
    public function last(Project $project): int
    {
        return $this->em->getRepository(Task::class)->findOneBy(['project' => $project], ['position' => 'DESC'])->position ?? 0;
    }

    public function isUnderWay(Project $project): bool
    {
        return null !== $this->em->getRepository(Task::class)->findOneBy(['project' => $project, 'finishedAt' => null]);
    }

    /** @return array<string, int> how many open tasks somebody has, by id of staff */
    public function openByStaff(): array
    {
        /** @var list<array{id: string, open: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(t.assignee) AS id', 'COUNT(t.id) AS open')->from(Task::class, 't')
            ->where('t.finishedAt IS NULL')->groupBy('t.assignee')->getQuery()->getResult();

        return array_map(intval(...), array_column($rows, 'open', 'id'));
    }
}
