<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Connection;

/** Short numbers for people: A-0417 for a submission, P-0187 for a project. Call it inside a transaction. */
final readonly class Counter
{
    public function __construct(private Connection $db)
    {
    }

    public function next(string $letter): string
    {
        $value = $this->db->fetchOne(
            'INSERT INTO counter (letter, value) VALUES (?, 1) ON CONFLICT (letter) DO UPDATE SET value = value + 1 RETURNING value',
            [$letter],
        );

        return \sprintf('%s-%04d', $letter, is_numeric($value) ? (int) $value : throw new \LogicException('a counter holds numbers'));
    }
}
