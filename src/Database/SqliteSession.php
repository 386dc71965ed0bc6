<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** Sets every SQLite connection up: write-ahead log, waiting for locks, foreign keys, durable commits. */
final class SqliteSession implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params);
                foreach (['busy_timeout = 10000', 'journal_mode = WAL', 'foreign_keys = ON', 'synchronous = FULL'] as $pragma) {
                    $connection->exec("PRAGMA $pragma");
                }

                $native = $connection->getNativeConnection();
                if ($native instanceof \PDO) {
                    // SQLite's own LOWER knows only the letters of ASCII; Ó must be found by ó.
                    $native->sqliteCreateFunction('LOWER', static fn (mixed $text): ?string => \is_scalar($text) ? mb_strtolower((string) $text) : null, 1, \PDO::SQLITE_DETERMINISTIC);
                }

                return new ImmediateTransactions($connection);
            }
        };
    }
}
