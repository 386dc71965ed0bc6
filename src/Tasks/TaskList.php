<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;

/** Pages through tasks: those of a project in their order, or open ones by due day, narrowed. */
final readonly class TaskList
{
    public function __construct(private EntityManagerInterface $em, private TaskView $view, private Viewer $viewer, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null} as TaskPage in the contract */
    public function page(Request $request): array
    {
        $query = $this->em->createQueryBuilder()
            ->select('t', 'p', 's', 'c')
            ->from(Task::class, 't')
            ->join('t.project', 'p')
            ->join('t.assignee', 's')
            ->join('p.client', 'c')
            ->setMaxResults(Page::SIZE + 1);
        $project = Query::id($request, 'project');
        $cursor = Cursor::from($request);
        if (null !== $project) {
            $query->where('p.id = :project')->setParameter('project', $project)->orderBy('t.position')->addOrderBy('t.id');
        } else {
            $query->where('t.finishedAt IS NULL')->andWhere("p.closedAt IS NULL OR t.item LIKE 'care/%'")->orderBy('t.due')->addOrderBy('t.id');
        }
        $this->narrow($query, $request);
        if (null !== $this->viewer->projects()) {
            $query->andWhere('p.id IN (:own)')->setParameter('own', $this->viewer->projects());
        }
        if (null !== $cursor) {
            $by = null !== $project ? 't.position' : 't.due';
            $query->andWhere("$by > :value OR ($by = :value AND t.id > :id)")
                ->setParameter('value', null !== $project ? (int) $cursor->value : $cursor->value)
                ->setParameter('id', $cursor->id);
        }
        /** @var list<Task> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Task $task): Cursor => new Cursor(null !== $project ? (string) $task->position : $task->due->format('Y-m-d'), $task->id));

        return ['items' => $this->view->rows($page), 'next' => $next];
    }

    private function narrow(QueryBuilder $query, Request $request): void
    {
        $assignee = Query::id($request, 'assignee');
        null === $assignee ?: $query->andWhere('s.id = :assignee')->setParameter('assignee', $assignee);
        $today = $this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d');
        match (Query::oneOf($request, 'due', ['late', 'today', 'later'])) {
            'late' => $query->andWhere('t.due < :today')->setParameter('today', $today),
            'today' => $query->andWhere('t.due = :today')->setParameter('today', $today),
            'later' => $query->andWhere('t.due > :today')->setParameter('today', $today),
            default => null,
        };
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere(
                "LOWER(t.name) LIKE :w$i ESCAPE '\\' OR LOWER(p.title) LIKE :w$i ESCAPE '\\' OR LOWER(p.number) LIKE :w$i ESCAPE '\\' OR c.sortName LIKE :w$i ESCAPE '\\'",
            )->setParameter("w$i", $like);
        }
    }
}
