<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Project;

/** Counts the tasks of projects. */
final readonly class TaskCounts
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<Project> $projects
     *
     * @return array<string, array{all: int, done: int}> by project id
     */
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
}
