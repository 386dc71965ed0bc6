<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Who is not there. */
final readonly class Absences
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array<array-key, int> flipped ids of the staff who are away today, by the clock of the business */
    public function today(): array
    {
        /** @var list<string> $ids */
        $ids = $this->em->createQueryBuilder()->select('IDENTITY(a.staff)')->from(Absence::class, 'a')->where('a.first <= :today AND a.last >= :today')
            ->setParameter('today', $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'))->getQuery()->getSingleColumnResult();

        return array_flip($ids);
    }
}
