<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Forms\FormVersion;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;

/** Pages through submissions: the soonest due first while they wait, the newest first otherwise. */
final readonly class SubmissionList
{
    public function __construct(private EntityManagerInterface $em, private SubmissionView $view, private ArrivalsOfDay $arrivals)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, counts: array{waiting: int}} */
    public function page(Request $request): array
    {
        $state = SubmissionState::from(Query::oneOf($request, 'state', array_column(SubmissionState::cases(), 'value')) ?? SubmissionState::Waiting->value);
        [$column, $direction, $beyond] = SubmissionState::Waiting === $state ? ['dueAt', 'ASC', '>'] : ['receivedAt', 'DESC', '<'];
        $query = $this->em->createQueryBuilder()
            ->select('s.id', 's.number', 's.name', 'IDENTITY(s.formVersion) AS version', 's.state', 's.receivedAt', 's.dueAt', 's.toDecide', 's.decidedAt', 's.asideReason', 's.asideNote', 's.continueBy')
            ->from(Submission::class, 's')
            ->where('s.state = :state')->setParameter('state', $state->value)
            ->orderBy("s.$column", $direction)->addOrderBy('s.id', $direction)->setMaxResults(Page::SIZE + 1);
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("LOWER(s.name) LIKE :w$i ESCAPE '\\' OR LOWER(s.number) LIKE :w$i ESCAPE '\\'")->setParameter("w$i", $like);
        }
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere("s.$column $beyond :value OR (s.$column = :value AND s.id $beyond :id)")
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<array{id: string, number: string, name: string, version: string, state: SubmissionState, receivedAt: \DateTimeImmutable, dueAt: \DateTimeImmutable, toDecide: int, decidedAt: \DateTimeImmutable|null, asideReason: string, asideNote: string, continueBy: \DateTimeImmutable|null}> $rows */
        $rows = $query->getQuery()->getArrayResult();
        $versions = $this->versions(array_values(array_unique(array_column($rows, 'version'))));
        $found = array_map(static fn (array $row): SubmissionFacts => new SubmissionFacts(
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
        ), $rows);
        [$page, $next] = Page::cut($found, static fn (SubmissionFacts $s): Cursor => new Cursor((SubmissionState::Waiting === $state ? $s->dueAt : $s->receivedAt)->format('Y-m-d H:i:s'), $s->id));

        return [
            'items' => array_map($this->view->facts(...), $page),
            'next' => $next,
            'counts' => ['waiting' => $this->arrivals->waiting()],
        ];
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, FormVersion> by id, with their forms
     */
    private function versions(array $ids): array
    {
        /** @var list<FormVersion> $found */
        $found = $this->em->createQueryBuilder()->select('v', 'f')->from(FormVersion::class, 'v')->join('v.form', 'f')
            ->where('v.id IN (:ids)')->setParameter('ids', $ids)->getQuery()->getResult();

        return array_column($found, null, 'id');
    }
}
