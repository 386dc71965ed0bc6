<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Takes SQLite's write lock when a transaction begins. A transaction that reads first and writes later
 * would be refused at once when another writer came between, whatever the busy timeout; this one waits. Where another
 * writer came between since this connection looked last, what was read is read again.
 */
final class ImmediateTransactions extends AbstractConnectionMiddleware
{
    private int $seen;

    public function __construct(Connection $connection, private readonly ?LookAgain $look)
    {
        parent::__construct($connection);
        $this->seen = $this->version();
    }

    public function beginTransaction(): void
    {
        $this->exec('BEGIN IMMEDIATE');
        $now = $this->version();
        if ($now !== $this->seen) {
            $this->seen = $now;
            $this->look?->atEverything();
        }
    }

    public function commit(): void
    {
        $this->exec('COMMIT');
    }

    public function rollBack(): void
    {
        $this->exec('ROLLBACK');
    }

    /** A number that changes when another connection has committed something (SQLite, PRAGMA data_version). */
    private function version(): int
    {
        $version = $this->query('PRAGMA data_version')->fetchOne();

        return is_numeric($version) ? (int) $version : 0;
    }
}
