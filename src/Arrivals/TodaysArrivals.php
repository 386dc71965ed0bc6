<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Who waits for an answer, and what came in two weeks, for the day sheet. */
final readonly class TodaysArrivals
{
    private const MOST = 12;
    private const DAYS = 14;
    private const SOURCES = ['page' => 'Public page', 'embed' => 'On other pages', 'phone' => 'By phone', 'desk' => 'At the desk', 'mail' => 'By mail'];

    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    /** @return list<array<string, mixed>> as Today.waiting in the contract: the soonest due first */
    public function waiting(\DateTimeImmutable $now): array
    {
        /** @var list<Submission> $found */
        $found = $this->em->createQueryBuilder()->select('s', 'v')->from(Submission::class, 's')->join('s.formVersion', 'v')
            ->where('s.state = :waiting AND s.answeredAt IS NULL AND (s.remindAt IS NULL OR s.remindAt <= :now)')
            ->setParameter('waiting', SubmissionState::Waiting->value)->setParameter('now', $now, 'datetime_immutable')
            ->orderBy('s.dueAt')->addOrderBy('s.id')->setMaxResults(self::MOST)->getQuery()->getResult();
        $zone = $this->business->zone();
        $time = $this->business->workingTime();

        return array_map(static fn (Submission $one): array => [
            'id' => $one->id, 'name' => $one->name, 'form' => $one->form->title ?? $one->formVersion->definition()->title,
            'receivedAt' => $one->receivedAt->setTimezone($zone)->format(\DATE_RFC3339), 'dueAt' => $one->dueAt->setTimezone($zone)->format(\DATE_RFC3339),
            'minutesLeft' => $one->dueAt >= $now ? $time->between($now, $one->dueAt) : -$time->between($one->dueAt, $now),
            'mark' => $one->toDecide > 0 ? 'decide' : (null !== $one->continueBy && $one->continueBy > $now ? 'waiting' : 'new'), 'toDecide' => $one->toDecide,
        ], $found);
    }

    /** @return list<array{day: string, counts: list<array{source: string, count: int}>}> the days in order, the last today */
    public function ofTwoWeeks(\DateTimeImmutable $now): array
    {
        $zone = $this->business->zone();
        $first = $now->setTimezone($zone)->setTime(0, 0)->modify('-'.(self::DAYS - 1).' days');
        $counts = [];
        $rows = $this->em->getConnection()->iterateNumeric('SELECT received_at, channel FROM submission WHERE received_at >= ?', [$first->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')]);
        foreach ($rows as [$at, $channel]) {
            if (\is_string($at) && \is_string($channel)) {
                $day = (new \DateTimeImmutable($at, new \DateTimeZone('UTC')))->setTimezone($zone)->format('Y-m-d');
                $source = self::SOURCES[$channel] ?? $channel;
                $counts[$day][$source] = ($counts[$day][$source] ?? 0) + 1;
            }
        }
        $days = [];
        for ($i = 0; $i < self::DAYS; ++$i) {
            $day = $first->modify("+$i days")->format('Y-m-d');
            $of = $counts[$day] ?? [];
            ksort($of);
            $days[] = ['day' => $day, 'counts' => array_map(static fn (string $source): array => ['source' => $source, 'count' => $of[$source]], array_keys($of))];
        }

        return $days;
    }
}
