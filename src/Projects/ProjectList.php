<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;

/** Pages through projects, the newest first. */
final readonly class ProjectList
{
    public function __construct(private EntityManagerInterface $em, private ProjectRows $rows, private Viewer $viewer, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, stages: list<array{name: string, projects: int}>} as ProjectPage in the contract */
    public function page(Request $request): array
    {
        $query = $this->em->createQueryBuilder()->select('p', 'c', 's')->from(Project::class, 'p')->join('p.client', 'c')->join('p.lead', 's')
            ->orderBy('p.openedAt', 'DESC')->addOrderBy('p.id', 'DESC')->setMaxResults(Page::SIZE + 1);
        $this->limit($query);
        $stage = Query::oneOf($request, 'stage', $this->business->stages());
        if (null !== $stage) {
            $query->andWhere('p.stage = :stage')->setParameter('stage', $stage);
        }
        $outcome = Query::oneOf($request, 'outcome', ['open', 'won', 'lost']);
        if (null !== $outcome) {
            $query->andWhere('p.outcome = :outcome')->setParameter('outcome', $outcome);
        }
        $client = Query::id($request, 'client');
        if (null !== $client) {
            $query->andWhere('p.client = :client')->setParameter('client', $client);
        }
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("LOWER(p.title) LIKE :w$i ESCAPE '\\' OR LOWER(p.number) LIKE :w$i ESCAPE '\\' OR c.sortName LIKE :w$i ESCAPE '\\'")->setParameter("w$i", $like);
        }
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('p.openedAt < :value OR (p.openedAt = :value AND p.id < :id)')
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Project> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Project $project): Cursor => new Cursor($project->openedAt->format('Y-m-d H:i:s'), $project->id));

        return ['items' => $this->rows->of($page), 'next' => $next, 'stages' => null === $client ? $this->stages() : []];
    }

    /** To those that whoever looks may read. */
    private function limit(QueryBuilder $query): QueryBuilder
    {
        return null === $this->viewer->projects() ? $query : $query->andWhere('p.id IN (:own)')->setParameter('own', $this->viewer->projects());
    }

    /** @return list<array{name: string, projects: int}> */
    private function stages(): array
    {
        /** @var list<array{stage: string, n: int|string}> $rows */
        $rows = $this->limit($this->em->createQueryBuilder()->select('p.stage AS stage', 'COUNT(p.id) AS n')->from(Project::class, 'p')->groupBy('p.stage'))->getQuery()->getResult();
        $counts = array_column($rows, 'n', 'stage');

        return array_map(static fn (string $name): array => ['name' => $name, 'projects' => (int) ($counts[$name] ?? 0)], $this->business->stages());
    }
}
