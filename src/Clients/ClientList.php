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

/** Pages through clients by name; each word looked for must be in the name, a mail address or a phone number. */
final readonly class ClientList
{
    public function __construct(private EntityManagerInterface $em, private Work $work, private Viewer $viewer, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, total: int} as ClientPage in the contract */
    public function page(Request $request): array
    {
        $query = $this->search($request)->select('c')->orderBy('c.sortName')->addOrderBy('c.id')->setMaxResults(Page::SIZE + 1);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('c.sortName > :value OR (c.sortName = :value AND c.id > :id)')
                ->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Client> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Client $client): Cursor => new Cursor($client->sortName, $client->id));
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
                ];
            }, $page),
            'next' => $next,
            'total' => (int) $this->search($request)->select('COUNT(c.id)')->getQuery()->getSingleScalarResult(),
        ];
    }

    private function search(Request $request): QueryBuilder
    {
        $query = $this->em->createQueryBuilder()->from(Client::class, 'c')->where('c.mergedInto IS NULL');
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
    private function loadContactPoints(array $clients): void
    {
        $this->em->createQueryBuilder()->select('c', 'p')->from(Client::class, 'c')->leftJoin('c.contactPoints', 'p')
            ->where('c IN (:clients)')->setParameter('clients', $clients)->getQuery()->getResult();
    }
}
