<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Involvement;
use Telamon\Staff\Staff;

/** Whoever has a task in a project has a part in it, done or not. */
final readonly class TaskInvolvement implements Involvement
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function projects(Staff $staff): array
    {
        /** @var list<string> $projects */
        $projects = $this->em->createQueryBuilder()
            ->select('DISTINCT IDENTITY(t.project)')
            ->from(Task::class, 't')
            ->where('t.assignee = :staff')
            ->setParameter('staff', $staff)
            ->getQuery()
            ->getSingleColumnResult();

        return $projects;
    }
}
