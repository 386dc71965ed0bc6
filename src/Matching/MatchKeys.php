<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Telamon\Core\Matching\BlockingKeys;

/** The table of keys that clients are filed under. */
final readonly class MatchKeys
{
    public function __construct(private Connection $db, private BlockingKeys $keys, private PeopleOnFile $people)
    {
    }

    /** @param list<string> $clientIds whose records changed, or that are there no more */
    public function refresh(array $clientIds): void
    {
        $people = $this->people->some($clientIds);
        foreach ($clientIds as $id) {
            $this->db->executeStatement('DELETE FROM match_key WHERE client_id = ?', [$id]);
            foreach (isset($people[$id]) ? array_chunk($this->keys->filed($people[$id]), 100) : [] as $hashes) {
                $this->db->executeStatement(
                    'INSERT INTO match_key (hash, client_id) VALUES '.implode(', ', array_fill(0, \count($hashes), '(?, ?)')),
                    array_merge(...array_map(static fn (int $hash): array => [$hash, $id], $hashes)),
                );
            }
        }
    }

    /** @param list<string> $clientIds that are there no more; other ids do no harm */
    public function forget(array $clientIds): void
    {
        foreach (array_chunk($clientIds, 500) as $chunk) {
            $this->db->executeStatement('DELETE FROM match_key WHERE client_id IN (?)', [$chunk], [ArrayParameterType::STRING]);
        }
    }

    /**
     * @param list<string> $keys
     *
     * @return list<string> ids of the clients filed under any of them
     */
    public function find(array $keys): array
    {
        if ([] === $keys) {
            return [];
        }
        $one = 'SELECT client_id FROM (SELECT client_id FROM match_key WHERE hash = ? LIMIT '.BlockingKeys::LARGEST_BLOCK.')';
        $ids = [];
        foreach (array_chunk($keys, 100) as $chunk) {
            foreach ($this->db->fetchFirstColumn(implode(' UNION ', array_fill(0, \count($chunk), $one)), array_map(BlockingKeys::hash(...), $chunk)) as $id) {
                $ids[] = \is_string($id) ? $id : '';
            }
        }

        return array_values(array_unique($ids));
    }
}
