<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Diary\Appointment;
use Telamon\Diary\AppointmentState;

/** What became of the times that were booked with arrivals. */
final readonly class VisitsOfArrivals
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    /**
     * @param list<string> $submissions ids, a page at most
     *
     * @return array<string, array{state: string, startsAt: string}> by submission: of several the one that stands, or else the last; startsAt RFC 3339 at the business
     */
    public function of(array $submissions): array
    {
        if ([] === $submissions) {
            return [];
        }
        /** @var list<array{submissionId: string, state: AppointmentState, startsAt: \DateTimeImmutable}> $rows */
        $rows = $this->em->createQueryBuilder()->select('a.submissionId', 'a.state', 'a.startsAt')->from(Appointment::class, 'a')
            ->where('a.submissionId IN (:ids)')->setParameter('ids', $submissions)->orderBy('a.startsAt', 'ASC')->getQuery()->getArrayResult();
        $visits = $stands = [];
        foreach ($rows as $row) {
            if (isset($visits[$row['submissionId']]) && $stands[$row['submissionId']] && !$row['state']->stands()) {
                continue;
            }
            $stands[$row['submissionId']] = $row['state']->stands();
            $visits[$row['submissionId']] = ['state' => $row['state']->value, 'startsAt' => $row['startsAt']->setTimezone($this->business->zone())->format(\DATE_RFC3339)];
        }

        return $visits;
    }
}
