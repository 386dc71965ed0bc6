<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Profile;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;

/** Pages through clients. Read as rows: fifty clients as records, with all they hold, cost more than all else of a page. */
final readonly class ClientList
{
    private const COUNTED = 10_000;
    private const COUNTED_NARROWED = 500;
    private const SORTS = ['name' => 'c.sort_name', 'since' => 'c.since', 'contact' => 'c.last_contact'];

    public function __construct(private Connection $db, private ClientFilters $filters, private Work $work, private Profile $business)
    {
    }

    /** @return array{items: list<array<string, mixed>>, next: string|null, total: int, counted: int} as ClientPage in the contract */
    public function page(Request $request): array
    {
        $counted = $this->filters->isNarrowed($request) ? self::COUNTED_NARROWED : self::COUNTED;
        $query = $this->filters->query($request);
        $total = \count((clone $query)->select('c.id')->setMaxResults($counted + 1)->fetchFirstColumn());
        $sort = Query::oneOf($request, 'sort', ['name', '-name', 'since', '-since', 'contact', '-contact']) ?? 'name';
        $column = self::SORTS[ltrim($sort, '-')];
        $way = str_starts_with($sort, '-') ? 'DESC' : 'ASC';
        $query->select(
            'c.id',
            "TRIM(c.given_name || ' ' || c.family_name) AS name",
            'c.organisation',
            "CASE WHEN c.address <> '' THEN c.address ELSE (SELECT a.place FROM asset a WHERE a.client_id = c.id AND a.place <> '' ORDER BY a.id LIMIT 1) END AS address",
            'c.since',
            'c.last_contact',
            'c.tags',
            'c.archived_at',
            's.name AS owner',
            "$column AS sorted",
        )
            ->leftJoin('c', 'staff', 's', 's.id = c.owner_id')->orderBy($column, $way)->addOrderBy('c.id', $way)->setMaxResults(Page::SIZE + 1);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            // Nothing comes before everything, as the database sorts it.
            $beyond = 'ASC' === $way ? '>' : '<';
            $query->andWhere("COALESCE($column, '') $beyond :value OR (COALESCE($column, '') = :value AND c.id $beyond :id)")
                ->setParameter('value', $cursor->value)
                ->setParameter('id', $cursor->id);
        }
        $found = array_map(
            static fn (array $row): array => array_map(static fn (mixed $value): string => \is_scalar($value) ? (string) $value : '', $row),
            array_values($query->fetchAllAssociative()),
        );
        [$page, $next] = Page::cut($found, static fn (array $row): Cursor => new Cursor($row['sorted'], $row['id']));

        return ['items' => $this->rows($page), 'next' => $next, 'total' => $total, 'counted' => $counted];
    }

    /**
     * @param list<array<string, string>> $page
     *
     * @return list<array<string, mixed>> as ClientRow in the contract
     */
    private function rows(array $page): array
    {
        $ids = array_column($page, 'id');
        $projects = $this->work->projects($ids);
        $points = $this->points($ids);
        $phones = $this->business->phoneReader();
        $zone = $this->business->zone();

        return array_map(static function (array $row) use ($projects, $points, $phones, $zone): array {
            $phone = $points[$row['id']]['phone'] ?? null;
            $tags = json_decode($row['tags'], true);

            return [
                'id' => $row['id'],
                'name' => '' === $row['name'] ? 'No name given' : $row['name'],
                'organisation' => $row['organisation'],
                'email' => $points[$row['id']]['email'] ?? null,
                'phone' => null === $phone ? null : $phones->format($phone),
                'locality' => Client::localityOf($row['address']),
                'since' => substr($row['since'], 0, 10),
                'lastContact' => '' === $row['last_contact'] ? null : (new \DateTimeImmutable($row['last_contact'], new \DateTimeZone('UTC')))->setTimezone($zone)->format('Y-m-d'),
                'projects' => $projects[$row['id']] ?? 0,
                'tags' => \is_array($tags) ? array_values($tags) : [],
                'owner' => '' === $row['owner'] ? null : $row['owner'],
                'archived' => '' !== $row['archived_at'],
            ];
        }, $page);
    }

    /**
     * @param list<string> $ids of clients
     *
     * @return array<string, array<string, string>> the first of each kind, by client
     */
    private function points(array $ids): array
    {
        $points = [];
        foreach ($this->db->fetchAllNumeric(
            'SELECT client_id, kind, value FROM contact_point WHERE client_id IN (?) ORDER BY kind, id',
            [$ids],
            [ArrayParameterType::STRING],
        ) as [$client, $kind, $value]) {
            if (\is_string($client) && \is_string($kind) && \is_string($value)) {
                $points[$client][$kind] ??= $value;
            }
        }

        return $points;
    }
}
