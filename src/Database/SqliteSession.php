<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** Sets every SQLite connection up: waiting for locks, foreign keys, durable commits. */
final readonly class SqliteSession implements Middleware
{
    public function __construct(private ?LookAgain $look = null)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        return new class($driver, $this->look) extends AbstractDriverMiddleware {
            public function __construct(Driver $driver, private readonly ?LookAgain $look)
            {
                parent::__construct($driver);
            }

            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $connection = parent::connect($params);
                // The write-ahead log is a property of the file; telamon:database:update turns it on.
                $connection->exec('PRAGMA busy_timeout = 10000; PRAGMA foreign_keys = ON; PRAGMA synchronous = FULL; PRAGMA journal_size_limit = 16777216');

                $native = $connection->getNativeConnection();
                if ($native instanceof \PDO) {
                    // SQLite's own LOWER knows only the letters of ASCII; Ó must be found by ó.
                    $native->sqliteCreateFunction(
                        'LOWER',
                        static fn (mixed $text): ?string => \is_scalar($text) ? mb_strtolower((string) $text) : null,
                        1,
                        \PDO::SQLITE_DETERMINISTIC,
                    );
                }

                return new ImmediateTransactions($connection, $this->look);
            }
        };
    }
}
