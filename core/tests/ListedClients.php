<?php

declare(strict_types=1);

namespace Telamon\Core\Tests;

use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;

/** A handful of clients, found by the same keys as on file. */
final readonly class ListedClients implements Directory
{
    /** @param list<KnownClient> $clients */
    public function __construct(private array $clients)
    {
    }

    public function person(string $id): ?Person
    {
        $client = array_column($this->clients, null, 'id')[$id] ?? null;

        return null === $client ? null : self::read($client);
    }

    private static function read(KnownClient $client): Person
    {
        return Fixtures::people()->of(
            $client->givenName,
            $client->familyName,
            $client->fields['organisation'] ?? '',
            $client->emails,
            $client->phones,
            $client->address,
            array_map(static fn (array $asset): string => $asset['place'] ?? '', $client->assets),
        );
    }

    public function people(array $keys): array
    {
        $people = [];
        foreach ($this->clients as $client) {
            $person = self::read($client);
            if ([] !== array_intersect($keys, (new BlockingKeys(new ShortForms()))->of($person))) {
                $people[$client->id] = $person;
            }
        }

        return $people;
    }

    public function clients(array $ids): array
    {
        $known = array_column($this->clients, null, 'id');

        return array_filter(array_combine($ids, array_map(static fn (string $id): ?KnownClient => $known[$id] ?? null, $ids)));
    }

    public function judge(): Judge
    {
        return new Judge(new ShortForms());
    }
}
