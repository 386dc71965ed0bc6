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

/** Pages through projects: the newest first, unless another order is asked for. */
final readonly class ProjectList
{
    private const AT_ONCE = 500;
    private const SORTS = ['opened' => 'p.openedAt', 'title' => 'LOWER(p.title)', 'client' => 'c.sortName', 'stage' => 'p.stage', 'lead' => 's.name', 'ready' => 'p.readyBy'];

    public function __construct(private EntityManagerInterface $em, private ProjectRows $rows, private Viewer $viewer, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, stages: list<array{name: string, projects: int}>} as ProjectPage in the contract */
    public function page(Request $request): array
    {
        [$page, $next] = $this->found($request, Cursor::from($request), Page::SIZE);

        return ['items' => $this->rows->of($page), 'next' => $next, 'stages' => null === Query::id($request, 'client') ? $this->stages() : []];
    }

    /** @return iterable<array<string, mixed>> all that fit, as ProjectRow in the contract */
    public function all(Request $request): iterable
    {
        $cursor = null;
        do {
            [$page, $next] = $this->found($request, $cursor, self::AT_ONCE);
            yield from $this->rows->of($page);
            $cursor = null === $next ? null : Cursor::from(new Request(['cursor' => $next]));
            $this->em->clear();
            $this->business->reset();
        } while (null !== $next);
    }

    /** @return array{list<Project>, string|null} as many as asked for, and where the next begin */
    private function found(Request $request, ?Cursor $cursor, int $size): array
    {
        $asked = Query::oneOf($request, 'sort', array_merge(...array_map(static fn (string $sort): array => [$sort, "-$sort"], array_keys(self::SORTS)))) ?? '-opened';
        $falls = str_starts_with($asked, '-');
        // What has no day stands last, whichever way it goes.
        $sort = 'p.readyBy' === self::SORTS[ltrim($asked, '-')] ? ($falls ? "COALESCE(p.readyBy, '')" : "COALESCE(p.readyBy, '9999-12-31')") : self::SORTS[ltrim($asked, '-')];
        $query = $this->em->createQueryBuilder()->select('p AS project', 'c', 's', "$sort AS sorted")->from(Project::class, 'p')->join('p.client', 'c')->join('p.lead', 's')
            ->orderBy('sorted', $falls ? 'DESC' : 'ASC')->addOrderBy('p.id', $falls ? 'DESC' : 'ASC')->setMaxResults($size + 1);
        $this->narrow($query, $request);
        if (null !== $cursor) {
            $beyond = $falls ? '<' : '>';
            $query->andWhere("$sort $beyond :value OR ($sort = :value AND p.id $beyond :id)")->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<array{project: Project, sorted: string|\DateTimeInterface}> $rows */
        $rows = $query->getQuery()->getResult();
        $sorted = [];
        foreach ($rows as $row) {
            $sorted[$row['project']->id] = $row['sorted'] instanceof \DateTimeInterface ? $row['sorted']->format('Y-m-d H:i:s') : $row['sorted'];
        }

        return Page::cut(array_column($rows, 'project'), static fn (Project $project): Cursor => new Cursor($sorted[$project->id], $project->id), $size);
    }

    private function narrow(QueryBuilder $query, Request $request): void
    {
        $this->limit($query);
        foreach ([
            'stage' => Query::oneOf($request, 'stage', $this->business->stages()),
            'outcome' => Query::oneOf($request, 'outcome', ['open', 'won', 'lost']),
            'client' => Query::id($request, 'client'),
            'lead' => Query::id($request, 'lead'),
        ] as $field => $value) {
            null === $value ?: $query->andWhere("p.$field = :$field")->setParameter($field, $value);
        }
        $service = $request->query->getString('service');
        '' === $service ?: $query->andWhere('p.service = :service')->setParameter('service', $service);
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("LOWER(p.title) LIKE :w$i ESCAPE '\\' OR LOWER(p.number) LIKE :w$i ESCAPE '\\' OR c.sortName LIKE :w$i ESCAPE '\\'")->setParameter("w$i", $like);
        }
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
        $rows = $this->limit($this->em->createQueryBuilder()->select('p.stage AS stage', 'COUNT(p.id) AS n')->from(Project::class, 'p')->groupBy('p.stage'))
            ->getQuery()
            ->getResult();
        $counts = array_column($rows, 'n', 'stage');

        return array_map(static fn (string $name): array => ['name' => $name, 'projects' => (int) ($counts[$name] ?? 0)], $this->business->stages());
    }
}
