<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Query\QueryBuilder;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Access\Viewer;
use Telamon\Http\Query;
use Telamon\Search\Narrowing;

/** Narrows clients as a request says: words, tag, owner, service, place, last contact, open work, archived or not. */
final readonly class ClientFilters
{
    /** As many as are gathered; where more fit, they are met soon enough along the order of the list. */
    private const FEW = 500;
    private const STATES = ['current', 'archived', 'all', 'open-work'];
    /** Since when, or before when; “never” apart. */
    private const CONTACT = ['last-30-days' => ['>=', '-30 days'], 'last-90-days' => ['>=', '-90 days'], 'over-90-days' => ['<', '-90 days'], 'over-a-year' => ['<', '-1 year']];

    public function __construct(private Connection $db, private Work $work, private Viewer $viewer, private ClockInterface $clock)
    {
    }

    /** Whether a request leaves anybody out who is current. */
    public function isNarrowed(Request $request): bool
    {
        return [] !== $this->filters($request)
            || null !== $this->viewer->clients()
            || null !== Query::id($request, 'owner')
            || 'archived' === Query::oneOf($request, 'state', self::STATES);
    }

    /** @return QueryBuilder of clients called c */
    public function query(Request $request): QueryBuilder
    {
        $query = $this->db->createQueryBuilder()->from('client', 'c')->where(self::standing($request, 'c'));
        $owner = Query::id($request, 'owner');
        if (null !== $owner) {
            $query->andWhere('c.owner_id = :owner')->setParameter('owner', $owner);
        }
        if (null !== $this->viewer->clients()) {
            $query->andWhere('c.id IN (:own)')->setParameter('own', $this->viewer->clients(), ArrayParameterType::STRING);
        }
        foreach ($this->filters($request) as $filter) {
            $isFew = null !== $filter->gather && self::FEW >= \count($this->db->fetchFirstColumn($filter->gather.' LIMIT '.(self::FEW + 1), $filter->parameters));
            $condition = $isFew ? "c.id IN ({$filter->gather})" : $filter->test;
            $query->andWhere($condition);
            foreach ($filter->parameters as $name => $value) {
                !str_contains($condition, ":$name") ?: $query->setParameter($name, $value);
            }
        }

        return $query;
    }

    /** @return string the condition that clients, called so, are neither merged nor out of the way, or are, as is asked for */
    private static function standing(Request $request, string $name): string
    {
        return "$name.merged_into_id IS NULL".match (Query::oneOf($request, 'state', self::STATES)) {
            'archived' => " AND $name.archived_at IS NOT NULL",
            'all', 'open-work' => '',
            // Found by typing, whoever is archived is found too.
            default => [] === Query::words($request) ? " AND $name.archived_at IS NULL" : '',
        };
    }

    /** @return list<ClientFilter> */
    private function filters(Request $request): array
    {
        $filters = [];
        if ('open-work' === Query::oneOf($request, 'state', self::STATES)) {
            $filters[] = $this->work->open();
        }
        $words = Narrowing::of(mb_substr($request->query->getString('q'), 0, 100), 'client', 'c.id', 'q');
        if (null !== $words) {
            $filters[] = new ClientFilter($words->gather, $words->test, $words->parameters);
        }
        $tag = $request->query->getString('tag');
        if ('' !== $tag) {
            $filters[] = new ClientFilter(
                'SELECT client_id FROM client_tag WHERE tag = :tag',
                'EXISTS (SELECT 1 FROM client_tag t WHERE t.client_id = c.id AND t.tag = :tag)',
                ['tag' => $tag],
            );
        }
        $service = $request->query->getString('service');
        if ('' !== $service) {
            $filters[] = $this->work->ofService($service);
        }

        return [...$filters, ...$this->place($request), ...$this->contact($request)];
    }

    /** @return list<ClientFilter> */
    private function place(Request $request): array
    {
        $place = trim(mb_substr(mb_scrub($request->query->getString('place')), 0, 100));
        if ('' === $place) {
            return [];
        }
        $like = ['place' => '%'.addcslashes($place, '\\%_').'%'];
        $test = "%s.address LIKE :place ESCAPE '\\'";
        // Where a thing of theirs stands is where they are found.
        $stands = "SELECT s.client_id FROM asset s WHERE s.place LIKE :place ESCAPE '\\'";
        // What is searched holds the address too, with an index.
        $words = Narrowing::of($place, 'client', 'c.id', 'p');

        return [new ClientFilter(
            null === $words?->gather ? null : "SELECT a.id FROM client a WHERE a.id IN ({$words->gather}) AND ".\sprintf($test, 'a')." UNION $stands",
            '('.\sprintf($test, 'c')." OR c.id IN ($stands))",
            $like + ($words->parameters ?? []),
        )];
    }

    /** @return list<ClientFilter> */
    private function contact(Request $request): array
    {
        $contact = Query::oneOf($request, 'contact', [...array_keys(self::CONTACT), 'never']);
        // With the index that begins so.
        $standing = self::standing($request, 'n');
        if (null === $contact || 'never' === $contact) {
            return null === $contact ? [] : [new ClientFilter("SELECT n.id FROM client n WHERE $standing AND n.last_contact IS NULL", "COALESCE(c.last_contact, '') = ''")];
        }
        [$than, $when] = self::CONTACT[$contact];

        // Tried without the index on it: along the order of the list.
        return [new ClientFilter(
            "SELECT n.id FROM client n WHERE $standing AND n.last_contact $than :contact",
            "c.last_contact IS NOT NULL AND COALESCE(c.last_contact, '') $than :contact",
            ['contact' => $this->clock->now()->modify($when)->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        )];
    }
}
