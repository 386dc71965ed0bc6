<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;

/** Who leads how much, and who was last given work of a service. */
final readonly class LeadsOfProjects
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return array<string, int> open projects, by id of who leads them */
    public function open(): array
    {
        /** @var list<array{id: string, n: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()
            ->select('IDENTITY(p.lead) AS id', 'COUNT(p.id) AS n')
            ->from(Project::class, 'p')
            ->where('p.closedAt IS NULL')
            ->groupBy('p.lead')
            ->getQuery()
            ->getResult();

        return array_map(intval(...), array_column($rows, 'n', 'id'));
    }

    /**
     * @param string $service key
     *
     * @return array<string, string> when the newest of that service was opened, by id of who leads it; later ones sort behind
     */
    public function newest(string $service): array
    {
        /** @var list<array{id: string, at: string}> $rows */
        $rows = $this->em->createQueryBuilder()
            ->select('IDENTITY(p.lead) AS id', 'MAX(CONCAT(p.openedAt, p.id)) AS at')
            ->from(Project::class, 'p')
            ->where('p.service = :service')
            ->setParameter('service', $service)
            ->groupBy('p.lead')
            ->getQuery()
            ->getResult();

        return array_column($rows, 'at', 'id');
    }
}
