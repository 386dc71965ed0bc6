<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Involvement;
use Telamon\Staff\Staff;

/** Whoever goes there for a project has a part in it. */
final readonly class AppointmentInvolvement implements Involvement
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function projects(Staff $staff): array
    {
        /** @var list<string> $projects */
        $projects = $this->em->createQueryBuilder()
            ->select('DISTINCT IDENTITY(a.project)')
            ->from(Appointment::class, 'a')
            ->where('a.staff = :staff AND a.project IS NOT NULL')
            ->setParameter('staff', $staff)
            ->getQuery()
            ->getSingleColumnResult();

        return $projects;
    }
}
