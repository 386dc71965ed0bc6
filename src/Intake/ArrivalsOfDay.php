<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;

/** What came on a day, for the day ruler. */
final readonly class ArrivalsOfDay
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<array{id: string, name: string, receivedAt: string, answered: bool}> */
    public function between(\DateTimeImmutable $from, \DateTimeImmutable $to, \DateTimeZone $zone): array
    {
        /** @var list<Submission> $found */
        $found = $this->em->createQueryBuilder()->select('s')->from(Submission::class, 's')
            ->where('s.receivedAt >= :from')->andWhere('s.receivedAt < :to')
            ->setParameter('from', $from, 'datetime_immutable')->setParameter('to', $to, 'datetime_immutable')
            ->orderBy('s.receivedAt', 'DESC')->setMaxResults(60)->getQuery()->getResult();

        return array_map(static fn (Submission $s): array => [
            'id' => $s->id, 'name' => $s->name, 'receivedAt' => $s->receivedAt->setTimezone($zone)->format(\DATE_RFC3339), 'answered' => SubmissionState::Waiting !== $s->state,
        ], array_reverse($found));
    }

    public function waiting(): int
    {
        $count = $this->em->getConnection()->fetchOne('SELECT COUNT(*) FROM submission WHERE state = ?', [SubmissionState::Waiting->value]);

        return is_numeric($count) ? (int) $count : 0;
    }
}
