<?php

declare(strict_types=1);

namespace Telamon\Http;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** Writes into the database for real: one that can only be read looks well until somebody needs it. Every few seconds at the most, however often it is asked. */
final readonly class WriteProbe
{
    private const SECONDS = 10;

    public function __construct(private Connection $db, private ClockInterface $clock)
    {
    }

    /** @throws \Doctrine\DBAL\Exception where nothing can be written */
    public function write(): void
    {
        $now = $this->clock->now()->getTimestamp();
        $last = $this->db->fetchOne("SELECT value FROM installation_note WHERE name = 'written'");
        if (!is_numeric($last) || abs($now - (int) $last) >= self::SECONDS) {
            $this->db->transactional(static fn (Connection $db) => $db->executeStatement(
                "INSERT INTO installation_note (name, value) VALUES ('written', ?) ON CONFLICT (name) DO UPDATE SET value = excluded.value",
                [(string) $now],
            ));
        }
    }
}
