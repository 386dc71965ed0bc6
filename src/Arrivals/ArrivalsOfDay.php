<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

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
            'id' => $s->id, 'name' => $s->name, 'receivedAt' => $s->receivedAt->setTimezone($zone)->format(\DATE_RFC3339), 'answered' => SubmissionState::SetAside === $s->state
                || null !== $s->answeredAt,
        ], array_reverse($found));
    }

    public function waiting(): int
    {
        return $this->counts()['waiting'];
    }

    /** @return array{waiting: int, owed: int} waiting: for an answer too, not for a decision alone; owed: accepted by a rule, and not answered by anybody yet */
    public function counts(): array
    {
        $row = $this->em->getConnection()->fetchNumeric(
            'SELECT (SELECT COUNT(*) FROM submission WHERE state = ? AND answered_at IS NULL), (SELECT COUNT(*) FROM submission WHERE state = ? AND answered_at IS NULL)',
            [SubmissionState::Waiting->value, SubmissionState::Accepted->value],
        );
        $whole = static fn (mixed $count): int => is_numeric($count) ? (int) $count : 0;

        return ['waiting' => $whole($row[0] ?? 0), 'owed' => $whole($row[1] ?? 0)];
    }
}
