<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;

/**
 * Takes SQLite's write lock when a transaction begins. A transaction that reads first and writes later
 * would be refused at once when another writer came between, whatever the busy timeout; this one waits.
 */
final class ImmediateTransactions extends AbstractConnectionMiddleware
{
    public function beginTransaction(): void
    {
        $this->exec('BEGIN IMMEDIATE');
    }

    public function commit(): void
    {
        $this->exec('COMMIT');
    }

    public function rollBack(): void
    {
        $this->exec('ROLLBACK');
    }
}
