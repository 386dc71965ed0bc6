<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Profile;
use Telamon\Forms\FormVersion;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/**
 * Pages through submissions. Those that wait: the later the sooner, and of those that are equally late the one with
 * more points first; what is put off comes last. Others: the newest first.
 */
final readonly class SubmissionList
{
    /** Accepted, by a rule, while the person who wrote still waits for an answer. */
    private const OWED = 'owed';
    private const COLUMNS = 's.id, s.number, s.name, IDENTITY(s.formVersion) AS version, s.state, s.receivedAt, s.dueAt, s.toDecide, s.decidedAt, s.asideReason, s.asideNote, s.continueBy, s.answeredAt, s.remindAt, s.priority, a.id AS assigneeId, a.name AS assignee';

    public function __construct(
        private EntityManagerInterface $em,
        private SubmissionView $view,
        private ArrivalsOfDay $arrivals,
        private VisitsOfArrivals $visits,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, counts: array{waiting: int, owed: int}} */
    public function page(Request $request): array
    {
        $asked = Query::oneOf($request, 'state', [...array_column(SubmissionState::cases(), 'value'), self::OWED]) ?? SubmissionState::Waiting->value;
        [$page, $next] = null === Query::id($request, 'client') && SubmissionState::Waiting->value === $asked ? $this->waiting($request) : $this->others($request, $asked);

        $visits = $this->visits->of(array_column($page, 'id'));

        return [
            'items' => array_map(fn (SubmissionRow $row): array => $this->view->facts($row, $visits[$row->id] ?? null), $page),
            'next' => $next,
            'counts' => $this->arrivals->counts(),
        ];
    }

    /** @return array{list<SubmissionRow>, string|null} */
    private function waiting(Request $request): array
    {
        $cursor = $this->place($request);
        $found = $steps = [];
        foreach ($this->lateness() as $i => [$from, $to, $putOff]) {
            if (null !== $cursor && $i < $cursor[0]) {
                continue;
            }
            $query = $this->query($request, SubmissionState::Waiting->value)
                ->orderBy('s.dueAt', 'ASC')
                ->addOrderBy('s.priority', 'DESC')
                ->addOrderBy('s.id', 'ASC')
                ->setMaxResults(Page::SIZE + 1 - \count($found));
            $now = $this->clock->now();
            $query->andWhere($putOff ? 's.remindAt > :now' : 's.remindAt IS NULL OR s.remindAt <= :now')->setParameter('now', $now, 'datetime_immutable');
            if (null !== $from) {
                $query->andWhere('s.dueAt > :from')->setParameter('from', $from, 'datetime_immutable');
            }
            if (null !== $to) {
                $query->andWhere('s.dueAt <= :to')->setParameter('to', $to, 'datetime_immutable');
            }
            if (null !== $cursor && $i === $cursor[0]) {
                $query->andWhere('s.dueAt > :due OR (s.dueAt = :due AND (s.priority < :p OR (s.priority = :p AND s.id > :id)))')
                    ->setParameter('p', $cursor[1])->setParameter('due', $cursor[2])->setParameter('id', $cursor[3]);
            }
            foreach (self::rows($query) as $row) {
                $found[] = $row;
                $steps[] = $i;
            }
            if (\count($found) > Page::SIZE) {
                break;
            }
        }
        $page = $this->told(\array_slice($found, 0, Page::SIZE));
        $last = $page[Page::SIZE - 1] ?? null;
        $next = null === $last || \count($found) <= Page::SIZE
            ? null
            : (new Cursor($steps[Page::SIZE - 1]."|{$last->priority}|".$last->dueAt->format('Y-m-d H:i:s'), $last->id))->text();

        return [$page, $next];
    }

    /** @return array{list<SubmissionRow>, string|null} */
    private function others(Request $request, string $asked): array
    {
        // Of one client, whatever has become of them.
        $client = Query::id($request, 'client');
        $query = $this->query($request, null !== $client ? null : (self::OWED === $asked ? SubmissionState::Accepted->value : $asked))->setMaxResults(Page::SIZE + 1);
        if (null !== $client) {
            $query->andWhere('s.client = :client')->setParameter('client', $client);
        }
        [$column, $direction, $beyond] = self::OWED === $asked ? ['dueAt', 'ASC', '>'] : ['receivedAt', 'DESC', '<'];
        if (self::OWED === $asked) {
            $query->andWhere('s.answeredAt IS NULL');
        }
        $query->orderBy("s.$column", $direction)->addOrderBy('s.id', $direction);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere("s.$column $beyond :value OR (s.$column = :value AND s.id $beyond :id)")
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }

        return Page::cut(
            $this->told(self::rows($query)),
            static fn (SubmissionRow $s): Cursor => new Cursor(('dueAt' === $column ? $s->dueAt : $s->receivedAt)->format('Y-m-d H:i:s'), $s->id),
        );
    }

    /** @param string|null $state null for any */
    private function query(Request $request, ?string $state): QueryBuilder
    {
        $query = $this->em->createQueryBuilder()->select(self::COLUMNS)->from(Submission::class, 's')->leftJoin(Staff::class, 'a', 'WITH', 's.assignee = a');
        if (null !== $state) {
            $query->andWhere('s.state = :state')->setParameter('state', $state);
        }
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("LOWER(s.name) LIKE :w$i ESCAPE '\\' OR LOWER(s.number) LIKE :w$i ESCAPE '\\'")->setParameter("w$i", $like);
        }

        return $query;
    }

    /**
     * The steps of lateness: over, before noon, today, tomorrow, later; and what is put off.
     *
     * @return list<array{\DateTimeImmutable|null, \DateTimeImmutable|null, bool}> after and up to when it is due
     */
    private function lateness(): array
    {
        $now = $this->clock->now()->setTimezone($this->business->zone());
        $utc = new \DateTimeZone('UTC');
        $noon = max($now, $now->setTime(11, 59, 59))->setTimezone($utc);
        $tonight = $now->setTime(23, 59, 59)->setTimezone($utc);
        $tomorrow = $now->modify('+1 day')->setTime(23, 59, 59)->setTimezone($utc);
        $now = $now->setTimezone($utc);

        return [[null, $now, false], [$now, $noon, false], [$noon, $tonight, false], [$tonight, $tomorrow, false], [$tomorrow, null, false], [null, null, true]];
    }

    /** @return array{int, int, string, string}|null step, points, due, id of the last one seen */
    private function place(Request $request): ?array
    {
        $cursor = Cursor::from($request);
        if (null === $cursor) {
            return null;
        }

        return 1 === preg_match('/^([0-5])\|(\d{1,6})\|([\d: -]{19})$/', $cursor->value, $m)
            ? [(int) $m[1], (int) $m[2], $m[3], $cursor->id]
            : throw new InvalidInput('cursor', 'This is no cursor of this list.');
    }

    /** @return list<array<string, mixed>> */
    private static function rows(QueryBuilder $query): array
    {
        /** @var list<array<string, mixed>> */
        return $query->getQuery()->getArrayResult();
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<SubmissionRow>
     */
    private function told(array $rows): array
    {
        /** @var list<array{id: string, number: string, name: string, version: string, state: SubmissionState, receivedAt: \DateTimeImmutable, dueAt: \DateTimeImmutable, toDecide: int, decidedAt: \DateTimeImmutable|null, asideReason: string, asideNote: string, continueBy: \DateTimeImmutable|null, answeredAt: \DateTimeImmutable|null, remindAt: \DateTimeImmutable|null, priority: int, assigneeId: string|null, assignee: string|null}> $rows */
        $versions = $this->versions(array_values(array_unique(array_column($rows, 'version'))));

        return array_map(static fn (array $row): SubmissionRow => new SubmissionRow(
            $row['id'],
            $row['number'],
            $row['name'],
            $versions[$row['version']],
            $row['state'],
            $row['receivedAt'],
            $row['dueAt'],
            $row['toDecide'],
            $row['decidedAt'],
            $row['asideReason'],
            $row['asideNote'],
            $row['continueBy'],
            $row['answeredAt'],
            $row['remindAt'],
            $row['priority'],
            null === $row['assigneeId'] ? null : ['id' => $row['assigneeId'], 'name' => (string) $row['assignee']],
        ), $rows);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, FormVersion> by id, with their forms
     */
    private function versions(array $ids): array
    {
        if ([] === $ids) {
            return [];
        }
        /** @var list<FormVersion> $found */
        $found = $this->em->createQueryBuilder()->select('v', 'f')->from(FormVersion::class, 'v')->join('v.form', 'f')
            ->where('v.id IN (:ids)')->setParameter('ids', $ids)->getQuery()->getResult();

        return array_column($found, null, 'id');
    }
}
