<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Telamon\Clients\Work;

/** The projects of clients, for their list. */
final readonly class ProjectsOfClients implements Work
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function projects(array $clients): array
    {
        /** @var list<array{id: string, n: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(p.client) AS id', 'COUNT(p.id) AS n')->from(Project::class, 'p')
            ->where('p.client IN (:clients)')->setParameter('clients', $clients)->groupBy('p.client')->getQuery()->getResult();

        return array_map(intval(...), array_column($rows, 'n', 'id'));
    }

    public function narrow(QueryBuilder $query, bool $many): void
    {
        $query->andWhere($many ? 'EXISTS (SELECT w.id FROM '.Project::class.' w WHERE w.client = c AND w.closedAt IS NULL)' : 'c.id IN (SELECT IDENTITY(w.client) FROM '.Project::class.' w WHERE w.closedAt IS NULL)');
    }
}
