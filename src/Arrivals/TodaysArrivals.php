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
    /** What came by a form is told by its name; what somebody wrote down, by how it came. */
    private const SOURCES = ['phone' => 'By phone', 'desk' => 'At the desk', 'mail' => 'By mail', 'text' => 'By text message'];
    private const FORMS = 4;

    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    /** @return list<array<string, mixed>> as Today.waiting in the contract: the soonest due first; what accepted itself is owed an answer as before */
    public function waiting(\DateTimeImmutable $now): array
    {
        /** @var list<Submission> $found */
        $found = $this->em->createQueryBuilder()->select('s', 'v')->from(Submission::class, 's')->join('s.formVersion', 'v')
            ->where('s.state IN (:owed) AND s.answeredAt IS NULL AND (s.remindAt IS NULL OR s.remindAt <= :now)')
            ->setParameter('owed', [SubmissionState::Waiting->value, SubmissionState::Accepted->value])->setParameter('now', $now, 'datetime_immutable')
            ->orderBy('s.dueAt')->addOrderBy('s.id')->setMaxResults(self::MOST)->getQuery()->getResult();
        $zone = $this->business->zone();
        $time = $this->business->workingTime();

        return array_map(static fn (Submission $one): array => [
            'id' => $one->id, 'name' => $one->name, 'form' => $one->form->title ?? $one->formVersion->definition()->title,
            'receivedAt' => $one->receivedAt->setTimezone($zone)->format(\DATE_RFC3339), 'dueAt' => $one->dueAt->setTimezone($zone)->format(\DATE_RFC3339),
            'minutesLeft' => $one->dueAt >= $now ? $time->between($now, $one->dueAt) : -$time->between($one->dueAt, $now),
            'mark' => SubmissionState::Accepted === $one->state
                ? 'owed'
                : ($one->toDecide > 0 ? 'decide' : (null !== $one->continueBy && $one->continueBy > $now ? 'waiting' : 'new')), 'toDecide' => $one->toDecide,
        ], $found);
    }

    /** @return array{waiting: int, decide: int, over: list<int>} how many wait, how many of them for a decision, and the working minutes by which answers are late */
    public function counts(\DateTimeImmutable $now): array
    {
        $utc = $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $db = $this->em->getConnection();
        $which = "FROM submission WHERE state IN ('waiting', 'accepted')";
        $today = " AND (remind_at IS NULL OR remind_at <= '$utc')";
        $count = static fn (string $and): int => is_numeric($found = $db->fetchOne("SELECT COUNT(*) $which $and")) ? (int) $found : 0;
        $time = $this->business->workingTime();
        $over = [];
        foreach ($db->iterateColumn("SELECT due_at $which $today AND answered_at IS NULL AND due_at < ? ORDER BY due_at LIMIT 1000", [$utc]) as $due) {
            $over[] = $time->between(new \DateTimeImmutable(\is_string($due) ? $due : '', new \DateTimeZone('UTC')), $now);
        }

        return ['waiting' => $count('AND answered_at IS NULL'), 'decide' => $count("$today AND state = 'waiting' AND to_decide > 0"), 'over' => $over];
    }

    /** @return list<array{day: string, counts: list<array{source: string, count: int}>}> the days in order, the last today */
    public function ofTwoWeeks(\DateTimeImmutable $now): array
    {
        $zone = $this->business->zone();
        $first = $now->setTimezone($zone)->setTime(0, 0)->modify('-'.(self::DAYS - 1).' days');
        $counts = [];
        $rows = $this->em->getConnection()->fetchAllNumeric(
            'SELECT s.received_at, s.channel, f.title FROM submission s LEFT JOIN form f ON f.id = s.form_id WHERE s.received_at >= ?',
            [$first->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        );
        $by = [];
        foreach ($rows as [$at, $channel, $title]) {
            if (\is_string($at) && \is_string($channel)) {
                $by[self::SOURCES[$channel] ?? (\is_string($title) ? $title : 'Other forms')][] = (new \DateTimeImmutable($at, new \DateTimeZone('UTC')))->setTimezone($zone)
                    ->format('Y-m-d');
            }
        }
        uasort($by, static fn (array $a, array $b): int => \count($b) <=> \count($a));
        // More patterns than these cannot be told apart.
        $named = \count($by) > self::FORMS + 1 ? \array_slice(array_keys($by), 0, self::FORMS) : array_keys($by);
        foreach ($by as $source => $came) {
            $source = \in_array($source, $named, true) ? $source : 'Others';
            foreach ($came as $day) {
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
