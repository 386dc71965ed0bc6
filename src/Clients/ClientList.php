<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Access\Viewer;
use Telamon\Business\Profile;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;

/** Pages through clients; each word looked for must be in the name, a mail address or a phone number. */
final readonly class ClientList
{
    private const COUNTED = 1000;

    public function __construct(private EntityManagerInterface $em, private Work $work, private Viewer $viewer, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, total: int} as ClientPage in the contract */
    public function page(Request $request): array
    {
        $total = $this->total($request);
        $newest = 'newest' === Query::oneOf($request, 'sort', ['name', 'newest']);
        [$sort, $way, $beyond] = $newest ? ['c.since', 'DESC', '<'] : ['c.sortName', 'ASC', '>'];
        $query = $this->search($request, $total > self::COUNTED)->select('c')->orderBy($sort, $way)->addOrderBy('c.id', $way)->setMaxResults(Page::SIZE + 1);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere("$sort $beyond :value OR ($sort = :value AND c.id $beyond :id)")
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Client> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Client $client): Cursor => new Cursor($newest ? $client->since->format('Y-m-d') : $client->sortName, $client->id));
        $projects = $this->work->projects($page);
        $phones = $this->business->phoneReader();
        $this->loadContactPoints($page);

        return [
            'items' => array_map(static function (Client $client) use ($projects, $phones): array {
                $phone = $client->first(ContactKind::Phone);

                return [
                    'id' => $client->id,
                    'name' => $client->name(),
                    'email' => $client->first(ContactKind::Email),
                    'phone' => null === $phone ? null : $phones->format($phone),
                    'locality' => $client->locality(),
                    'since' => $client->since->format('Y-m-d'),
                    'projects' => $projects[$client->id] ?? 0,
                    'tags' => $client->tags,
                    'owner' => $client->owner?->name,
                    'archived' => null !== $client->archivedAt,
                ];
            }, $page),
            'next' => $next,
            'total' => $total,
        ];
    }

    /** How many there are; where the list is narrowed, at most one more than are counted. */
    private function total(Request $request): int
    {
        $narrowed = [] !== Query::words($request) || '' !== $request->query->getString('tag').$request->query->getString('owner') || 'open-work' === $request->query->getString('state');

        return $narrowed
            ? \count($this->search($request)->select('c.id')->setMaxResults(self::COUNTED + 1)->getQuery()->getSingleColumnResult())
            : (int) $this->search($request)->select('COUNT(c.id)')->getQuery()->getSingleScalarResult();
    }

    /**
     * @param bool $many whether it is known that many fit: then they are met on the way along the order, and not gathered first
     *
     * @return QueryBuilder of clients called c, as a request narrows them: words, tag, owner, open work, archived or not
     */
    public function search(Request $request, bool $many = false): QueryBuilder
    {
        $query = $this->em->createQueryBuilder()->from(Client::class, 'c')->where('c.mergedInto IS NULL');
        match (Query::oneOf($request, 'state', ['current', 'archived', 'all', 'open-work'])) {
            'archived' => $query->andWhere('c.archivedAt IS NOT NULL'),
            'all' => null,
            'open-work' => $this->work->narrow($query, $many),
            // Found by typing, whoever is archived is found too.
            default => [] === Query::words($request) ? $query->andWhere('c.archivedAt IS NULL') : null,
        };
        $tag = $request->query->getString('tag');
        if ('' !== $tag) {
            $query->andWhere($many ? 'EXISTS (SELECT t.tag FROM '.ClientTag::class.' t WHERE t.clientId = c.id AND t.tag = :tag)' : 'c.id IN (SELECT t.clientId FROM '.ClientTag::class.' t WHERE t.tag = :tag)')->setParameter('tag', $tag);
        }
        $owner = Query::id($request, 'owner');
        if (null !== $owner) {
            $query->andWhere('c.owner = :owner')->setParameter('owner', $owner);
        }
        if (null !== $this->viewer->clients()) {
            $query->andWhere('c.id IN (:own)')->setParameter('own', $this->viewer->clients());
        }
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("c.sortName LIKE :w$i ESCAPE '\\' OR EXISTS (SELECT p$i.id FROM ".ContactPoint::class." p$i WHERE p$i.client = c AND p$i.matchKey LIKE :w$i ESCAPE '\\')")
                ->setParameter("w$i", $like);
        }

        return $query;
    }

    /** @param list<Client> $clients */
    public function loadContactPoints(array $clients): void
    {
        $this->em->createQueryBuilder()->select('c', 'p')->from(Client::class, 'c')->leftJoin('c.contactPoints', 'p')
            ->where('c IN (:clients)')->setParameter('clients', $clients)->getQuery()->getResult();
    }
}
