<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
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
        $query = $this->em->createQueryBuilder()->select('s', 'v', 'f')->from(Submission::class, 's')
            ->join('s.formVersion', 'v')->join('v.form', 'f')
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
        /** @var list<Submission> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Submission $s): Cursor => new Cursor($s->{$column}->format('Y-m-d H:i:s'), $s->id));

        return [
            'items' => array_map($this->view->row(...), $page),
            'next' => $next,
            'counts' => ['waiting' => $this->arrivals->waiting()],
        ];
    }
}
