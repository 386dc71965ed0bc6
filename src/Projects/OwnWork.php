<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Staff\Reach;
use Telamon\Staff\Staff;

/** The projects that somebody leads or has a part in, and whom they are for. */
final readonly class OwnWork implements Reach
{
    /** @param iterable<Involvement> $involvements */
    public function __construct(private EntityManagerInterface $em, #[AutowireIterator('telamon.involvement')] private iterable $involvements)
    {
    }

    public function projects(Staff $staff): array
    {
        /** @var list<string> $projects */
        $projects = $this->em->createQueryBuilder()
            ->select('p.id')
            ->from(Project::class, 'p')
            ->where('p.lead = :staff')
            ->setParameter('staff', $staff)
            ->getQuery()
            ->getSingleColumnResult();
        foreach ($this->involvements as $involvement) {
            array_push($projects, ...$involvement->projects($staff));
        }

        return array_values(array_unique($projects));
    }

    public function clients(Staff $staff): array
    {
        /** @var list<string> $clients */
        $clients = $this->em->createQueryBuilder()
            ->select('DISTINCT IDENTITY(p.client)')
            ->from(Project::class, 'p')
            ->where('p.id IN (:projects)')
            ->setParameter('projects', $this->projects($staff))
            ->getQuery()
            ->getSingleColumnResult();

        return $clients;
    }
}
