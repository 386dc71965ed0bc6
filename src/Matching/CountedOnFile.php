<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\Connection;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Commonness;
use Telamon\Core\Matching\Field;

/** How often names and addresses stand in the records on file, counted when asked for and once. */
final class CountedOnFile implements Commonness
{
    /** Beyond it, common is common enough. */
    private const MOST = 5000;

    /** @var array<string, int> */
    private array $known = [];

    /** @param int $own how many of the clients that are compared are on file themselves: 0 for a submission, 1 for a pair */
    public function __construct(private readonly Connection $db, private readonly int $own = 0)
    {
    }

    /** By the number of the newest row: those taken out since are counted too, which hurts nobody. */
    public function clients(): int
    {
        return $this->known['clients'] ??= $this->number('SELECT MAX(rowid) FROM client', []);
    }

    public function given(string $name): int
    {
        return $this->counted(BlockingKeys::counted(Field::Given, $name));
    }

    public function family(string $name): int
    {
        return $this->counted(BlockingKeys::counted(Field::Family, $name));
    }

    public function sharedBy(string $point): int
    {
        $value = ctype_digit($point) ? "+$point" : $point;

        return $this->known["p:$point"] ??= max(
            1,
            $this->number(
                'SELECT COUNT(DISTINCT p.client_id) FROM contact_point p JOIN client c ON c.id = p.client_id AND c.merged_into_id IS NULL WHERE p.kind = ? AND p.match_key = ?',
                [ctype_digit($point) ? 'phone' : 'email', $value],
            ) - $this->own,
        );
    }

    private function counted(string $key): int
    {
        return $this->known[$key] ??= max(
            0,
            $this->number('SELECT COUNT(*) FROM (SELECT 1 FROM match_key WHERE hash = ? LIMIT '.self::MOST.')', [BlockingKeys::hash($key)]) - $this->own,
        );
    }

    /** @param list<string|int> $parameters */
    private function number(string $sql, array $parameters): int
    {
        $value = $this->db->fetchOne($sql, $parameters);

        return is_numeric($value) ? (int) $value : 0;
    }
}
