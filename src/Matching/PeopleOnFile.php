<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\PersonReader;

/** Reads clients as people to compare, without entities. Those merged into others are not among them. */
final readonly class PeopleOnFile
{
    private const AT_ONCE = 500;

    public function __construct(private Connection $db, private PersonReader $reader)
    {
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, Person> by id
     */
    public function some(array $ids): array
    {
        $people = [];
        foreach (array_chunk($ids, self::AT_ONCE) as $chunk) {
            $rows = $this->db->fetchAllAssociative(
                'SELECT id, given_name, family_name, organisation, address FROM client WHERE id IN (?) AND merged_into_id IS NULL',
                [$chunk],
                [ArrayParameterType::STRING],
            );
            $points = $this->points($this->db->fetchAllAssociative(
                'SELECT client_id, kind, match_key FROM contact_point WHERE client_id IN (?)',
                [$chunk],
                [ArrayParameterType::STRING],
            ));
            $people += $this->people(
                $rows,
                $points,
                $this->places($this->db->fetchAllAssociative(
                    "SELECT client_id, place FROM asset WHERE client_id IN (?) AND place <> '' ORDER BY id",
                    [$chunk],
                    [ArrayParameterType::STRING],
                )),
            );
        }

        return $people;
    }

    /** @return array<string, Person> by id, the longest on file first */
    public function all(): array
    {
        return $this->people(
            $this->db->fetchAllAssociative('SELECT id, given_name, family_name, organisation, address FROM client WHERE merged_into_id IS NULL ORDER BY id'),
            $this->points($this->db->fetchAllAssociative('SELECT client_id, kind, match_key FROM contact_point')),
            $this->places($this->db->fetchAllAssociative("SELECT client_id, place FROM asset WHERE place <> '' ORDER BY id")),
        );
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @param array<string, array<string, list<string>>> $points
     * @param array<string, list<string>> $places
     *
     * @return array<string, Person>
     */
    private function people(array $rows, array $points, array $places): array
    {
        $people = [];
        foreach ($rows as $row) {
            $id = self::text($row, 'id');
            $people[$id] = $this->reader->of(
                self::text($row, 'given_name'),
                self::text($row, 'family_name'),
                self::text($row, 'organisation'),
                $points[$id]['email'] ?? [],
                $points[$id]['phone'] ?? [],
                self::text($row, 'address'),
                $places[$id] ?? [],
            );
        }

        return $people;
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return array<string, array<string, list<string>>> by client and kind
     */
    private function points(array $rows): array
    {
        $points = [];
        foreach ($rows as $row) {
            $points[self::text($row, 'client_id')][self::text($row, 'kind')][] = self::text($row, 'match_key');
        }

        return $points;
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return array<string, list<string>> where the things of each client stand
     */
    private function places(array $rows): array
    {
        $places = [];
        foreach ($rows as $row) {
            $places[self::text($row, 'client_id')][] = self::text($row, 'place');
        }

        return $places;
    }

    /** @param array<string, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
