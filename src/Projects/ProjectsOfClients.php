<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Clients\ClientSection;
use Telamon\Clients\Work;

/** The projects of clients, for their page and their list. */
final readonly class ProjectsOfClients implements ClientSection, Work
{
    private const RECENT = 40;

    public function __construct(private EntityManagerInterface $em, private ProjectRows $rows, private Viewer $viewer)
    {
    }

    public static function name(): string
    {
        return 'projects';
    }

    public function ofClient(Client $client): array
    {
        return $this->rows->of($this->em->getRepository(Project::class)->findBy(['client' => $client] + (null === $this->viewer->projects() ? [] : ['id' => $this->viewer->projects()]), ['openedAt' => 'DESC'], self::RECENT));
    }

    public function projects(array $clients): array
    {
        /** @var list<array{id: string, n: int|string}> $rows */
        $rows = $this->em->createQueryBuilder()->select('IDENTITY(p.client) AS id', 'COUNT(p.id) AS n')->from(Project::class, 'p')
            ->where('p.client IN (:clients)')->setParameter('clients', $clients)->groupBy('p.client')->getQuery()->getResult();

        return array_map(intval(...), array_column($rows, 'n', 'id'));
    }
}
